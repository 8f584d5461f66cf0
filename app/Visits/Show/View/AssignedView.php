<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Somebody on a card, in a role. */
#[OA\Schema]
final readonly class AssignedView
{
    public function __construct(
        #[OA\Property] public int $personId,
        #[OA\Property] public string $name,
        #[OA\Property] public string $stamp,
        #[OA\Property(enum: ['perform', 'duplicate', 'trainee'])] public string $role,
    ) {}
}
