<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A place marked on the drawing, in metres: x aft, y to the right, z up. */
#[OA\Schema]
final readonly class MarkView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $no,
        #[OA\Property] public string $name,
        #[OA\Property] public string $state,
        #[OA\Property] public float $x,
        #[OA\Property] public float $y,
        #[OA\Property] public float $z,
    ) {}
}
