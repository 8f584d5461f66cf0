<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A time for which nothing was recorded. */
#[OA\Schema]
final readonly class GapView
{
    public function __construct(
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public int $line,
    ) {}
}
