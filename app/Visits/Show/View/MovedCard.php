<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A card that a change has moved. */
#[OA\Schema]
final readonly class MovedCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $words,
        #[OA\Property] public float $hours,
    ) {}
}
