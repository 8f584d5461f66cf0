<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A batch in the store, and how many of it are with aircraft. */
#[OA\Schema]
final readonly class StoreBatch
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $batch,
        #[OA\Property] public int $quantity,
        #[OA\Property] public ?string $expires,
        #[OA\Property] public ?string $why,
        #[OA\Property] public int $taken,
    ) {}
}
