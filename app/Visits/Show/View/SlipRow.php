<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** What it does to the exit when a card takes longer. */
#[OA\Schema]
final readonly class SlipRow
{
    public function __construct(
        #[OA\Property] public float $hours,
        #[OA\Property] public string $words,
        #[OA\Property] public float $later,
        #[OA\Property] public int $moved,
    ) {}
}
