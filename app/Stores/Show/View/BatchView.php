<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A batch that a part could be taken from. */
#[OA\Schema]
final readonly class BatchView
{
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public int $quantity,
        #[OA\Property] public ?string $expires,
        #[OA\Property] public bool $usable,
        #[OA\Property] public ?string $why,
    ) {}
}
