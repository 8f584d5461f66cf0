<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** Both sides at one time. */
#[OA\Schema]
final readonly class SideReading
{
    public function __construct(
        #[OA\Property] public string $when,
        #[OA\Property] public float $left,
        #[OA\Property] public float $right,
        #[OA\Property] public float $apart,
        #[OA\Property] public bool $good,
    ) {}
}
