<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Somebody for a slot, and why not. */
#[OA\Schema]
final readonly class SlotCandidate
{
    public function __construct(
        #[OA\Property] public int $person,
        #[OA\Property] public ?string $why,
    ) {}
}
