<?php

declare(strict_types=1);

namespace App\Shared\View;

use OpenApi\Attributes as OA;

/** What the line across the top shows, and how much waits in each room. */
#[OA\Schema]
final readonly class Moment
{
    public function __construct(
        #[OA\Property] public string $now,
        #[OA\Property] public string $zone,
        #[OA\Property] public string $base,
        #[OA\Property] public string $shift,
        /** by name */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $waiting,
    ) {}
}
