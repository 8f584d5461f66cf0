<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A device on an aircraft: under a deferral, or one that could stay on under it. */
#[OA\Schema]
final readonly class StayView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $what,
        #[OA\Property] public string $card,
        #[OA\Property] public ?string $storage,
    ) {}
}
