<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A card left half-done. */
#[OA\Schema]
final readonly class HandoverView
{
    public function __construct(
        #[OA\Property] public string $by,
        #[OA\Property] public bool $mine,
        #[OA\Property] public string $at,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $takenBy,
    ) {}
}
