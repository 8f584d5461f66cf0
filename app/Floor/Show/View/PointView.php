<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One point of a circuit, and what was said of it. */
#[OA\Schema]
final readonly class PointView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $place,
        #[OA\Property] public string $state,
        #[OA\Property] public string $entry,
        #[OA\Property] public ?string $verdict,
        #[OA\Property] public ?string $by,
        #[OA\Property] public ?string $at,
    ) {}
}
