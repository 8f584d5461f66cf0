<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A limit that is watched in a run. */
#[OA\Schema]
final readonly class WatchedView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public string $unit,
        #[OA\Property(description: '"at most 780 °C"')] public string $said,
    ) {}
}
