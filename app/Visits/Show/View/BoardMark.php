<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A moment on the board. */
#[OA\Schema]
final readonly class BoardMark
{
    public function __construct(
        #[OA\Property] public float $at,
        #[OA\Property] public string $words,
    ) {}
}
