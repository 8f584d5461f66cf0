<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** An inspection of the past. */
#[OA\Schema]
final readonly class PastLookView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $ended,
        #[OA\Property] public float $hours,
        #[OA\Property] public int $findings,
        #[OA\Property] public float $perHundred,
        #[OA\Property] public float $fixHours,
    ) {}
}
