<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A figure of a season. */
#[OA\Schema]
final readonly class SeasonFigure
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $value,
        #[OA\Property] public string $state,
    ) {}
}
