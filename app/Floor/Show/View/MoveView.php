<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One adjuster to move. */
#[OA\Schema]
final readonly class MoveView
{
    public function __construct(
        #[OA\Property] public string $adjuster,
        #[OA\Property] public string $title,
        #[OA\Property] public float $amount,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $direction,
        #[OA\Property] public string $said,
        /** from which side it is come to; '' where that is all the same */
        #[OA\Property] public string $approach,
    ) {}
}
