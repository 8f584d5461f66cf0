<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A reading brought to the reference temperature. */
#[OA\Schema]
final readonly class GaugePoint
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public int $day,
        #[OA\Property] public float $pressure,
    ) {}
}
