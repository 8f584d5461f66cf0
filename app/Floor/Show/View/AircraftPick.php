<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft by its registration, and its type. */
#[OA\Schema]
final readonly class AircraftPick
{
    public function __construct(#[OA\Property] public string $mark, #[OA\Property] public string $type) {}
}
