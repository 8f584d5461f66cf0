<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** How often something happens, with its bounds, beside the fleet's own past. */
#[OA\Schema]
final readonly class RateRow
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $label,
        #[OA\Property] public int $events,
        #[OA\Property] public float $hours,
        #[OA\Property(description: 'per 1,000 flight hours; null where nothing was flown')] public ?float $rate,
        #[OA\Property] public ?float $low,
        #[OA\Property] public ?float $high,
        #[OA\Property(description: 'events to be expected, as often as in the year before')] public ?float $expected,
        #[OA\Property(description: 'the chance of as many')] public ?float $more,
        #[OA\Property] public bool $alert,
        #[OA\Property] public int $repeats,
    ) {}
}
