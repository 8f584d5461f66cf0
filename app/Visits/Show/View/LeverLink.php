<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Where something can be done. */
#[OA\Schema]
final readonly class LeverLink
{
    public function __construct(
        #[OA\Property] public string $to,
        #[OA\Property] public string $words,
    ) {}
}
