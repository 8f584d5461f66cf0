<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A line that another aircraft takes. */
#[OA\Schema]
final readonly class SwapMove
{
    public function __construct(
        #[OA\Property(description: 'who was to fly it')] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property] public string $flights,
    ) {}
}
