<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A stretch of slots. */
#[OA\Schema]
final readonly class BoardSpan
{
    public function __construct(
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
    ) {}
}
