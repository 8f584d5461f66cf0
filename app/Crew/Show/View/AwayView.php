<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Days that differ from the usual week. */
#[OA\Schema]
final readonly class AwayView
{
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public string $until,
        #[OA\Property] public ?string $shift,
        #[OA\Property] public string $why,
    ) {}
}
