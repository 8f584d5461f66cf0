<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A finding of a visit that is open and has no card yet. */
#[OA\Schema]
final readonly class VisitFinding
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $place,
        #[OA\Property] public string $extent,
        #[OA\Property] public string $card,
    ) {}
}
