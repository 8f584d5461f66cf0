<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A time for which a recorded signal lay beyond its limit. */
#[OA\Schema]
final readonly class BeyondView
{
    public function __construct(
        #[OA\Property] public float $from,
        #[OA\Property] public float $seconds,
        #[OA\Property] public string $said,
    ) {}
}
