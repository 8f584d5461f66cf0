<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** How long components of a kind stay on, beside what they are meant to. */
#[OA\Schema]
final readonly class LifeRow
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public int $removed,
        #[OA\Property] public float $days,
        #[OA\Property] public float $hours,
        #[OA\Property] public string $interval,
    ) {}
}
