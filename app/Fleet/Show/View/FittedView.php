<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A component that came or went. */
#[OA\Schema]
final readonly class FittedView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $what,
        #[OA\Property] public string $name,
        #[OA\Property] public string $position,
        #[OA\Property] public string $counters,
        #[OA\Property] public ?string $reason,
    ) {}
}
