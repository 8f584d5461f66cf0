<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** Pieces of a batch that came, went or were counted. */
#[OA\Schema]
final readonly class StockMove
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public ?string $who,
        #[OA\Property] public string $batch,
        #[OA\Property] public string $kind,
        #[OA\Property] public int $quantity,
        #[OA\Property] public int $left,
        #[OA\Property] public string $paper,
    ) {}
}
