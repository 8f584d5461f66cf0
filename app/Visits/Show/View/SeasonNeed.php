<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** What an aircraft needs in a season. */
#[OA\Schema]
final readonly class SeasonNeed
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $latest,
        #[OA\Property] public int $days,
        #[OA\Property] public float $hours,
        #[OA\Property] public ?string $lost,
        #[OA\Property] public ?string $why,
    ) {}
}
