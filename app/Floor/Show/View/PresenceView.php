<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Somebody at a card's work now. */
#[OA\Schema]
final readonly class PresenceView
{
    public function __construct(
        #[OA\Property] public int $personId,
        #[OA\Property] public string $name,
        #[OA\Property] public string $since,
        #[OA\Property] public bool $me,
    ) {}
}
