<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** How long somebody was at a card. */
#[OA\Schema]
final readonly class ClockedView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $time,
        #[OA\Property] public bool $on,
    ) {}
}
