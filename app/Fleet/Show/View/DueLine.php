<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One line of the due list. */
#[OA\Schema]
final readonly class DueLine
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $fleet,
        #[OA\Property] public string $base,
        #[OA\Property] public string $key,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $state,
        #[OA\Property] public string $date,
        #[OA\Property] public int $days,
        #[OA\Property] public ?string $latest,
        #[OA\Property] public string $drives,
        #[OA\Property] public string $remaining,
        #[OA\Property] public float $hours,
        #[OA\Property] public ?string $visit,
        #[OA\Property] public ?string $visitFrom,
    ) {}
}
