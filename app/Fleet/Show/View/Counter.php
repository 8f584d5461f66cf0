<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A counter, its value, its mean use a day as planned, and over the last ninety days. */
#[OA\Schema]
final readonly class Counter
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $title,
        #[OA\Property] public float $value,
        #[OA\Property] public float $rate,
        #[OA\Property] public ?float $flown,
    ) {}
}
