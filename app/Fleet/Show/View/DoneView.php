<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Something that was done. */
#[OA\Schema]
final readonly class DoneView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $counters,
        #[OA\Property] public ?int $visit,
    ) {}
}
