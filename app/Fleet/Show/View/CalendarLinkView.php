<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A calendar link; its address is shown once. */
#[OA\Schema]
final readonly class CalendarLinkView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $whose,
        #[OA\Property] public string $made,
        #[OA\Property] public ?string $read,
        #[OA\Property] public ?string $revoked,
        #[OA\Property] public ?string $address,
    ) {}
}
