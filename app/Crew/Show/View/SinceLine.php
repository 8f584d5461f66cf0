<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Something that somebody else did. */
#[OA\Schema]
final readonly class SinceLine
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $when,
        #[OA\Property] public string $who,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $link,
    ) {}
}
