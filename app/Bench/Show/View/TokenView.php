<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A token of an instrument: shown this once. */
#[OA\Schema]
final readonly class TokenView
{
    public function __construct(
        #[OA\Property] public string $token,
        #[OA\Property] public string $tool,
        #[OA\Property] public string $address,
    ) {}
}
