<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Something entered about somebody: when, by whom, what. */
#[OA\Schema]
final readonly class EntryView
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $who,
        #[OA\Property] public string $said,
    ) {}
}
