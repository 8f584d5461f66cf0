<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A day on the board. */
#[OA\Schema]
final readonly class BoardDay
{
    public function __construct(
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public string $date,
        #[OA\Property] public string $words,
    ) {}
}
