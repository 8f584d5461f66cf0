<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A reading as it was taken. */
#[OA\Schema]
final readonly class GaugeRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $date,
        #[OA\Property] public float $pressure,
        #[OA\Property] public float $tempC,
        #[OA\Property] public bool $replaced,
        #[OA\Property] public bool $current,
        #[OA\Property] public ?string $by,
        #[OA\Property] public ?string $reason,
    ) {}
}
