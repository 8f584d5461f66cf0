<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Days on which a bay is closed, counted from the first of the season. */
#[OA\Schema]
final readonly class SeasonClosed
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $from,
        #[OA\Property] public int $to,
        #[OA\Property] public string $why,
    ) {}
}
