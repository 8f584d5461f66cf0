<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Something that can be done, and the chance after it. */
#[OA\Schema]
final readonly class LeverView
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public float $chance,
        #[OA\Property] public string $words,
    ) {}
}
