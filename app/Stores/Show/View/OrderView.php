<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** Pieces on their way. */
#[OA\Schema]
final readonly class OrderView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $quantity,
        #[OA\Property] public string $expected,
    ) {}
}
