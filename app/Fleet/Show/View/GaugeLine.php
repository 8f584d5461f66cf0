<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** An end of the trend line, in days from today. */
#[OA\Schema]
final readonly class GaugeLine
{
    public function __construct(
        #[OA\Property] public int $day,
        #[OA\Property] public float $pressure,
    ) {}
}
