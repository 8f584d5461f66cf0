<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A message to an address, and what became of it. */
#[OA\Schema]
final readonly class DeliveryView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $to,
        #[OA\Property] public string $said,
        #[OA\Property] public string $link,
        #[OA\Property] public string $made,
        #[OA\Property] public string $state,
        #[OA\Property] public string $word,
        #[OA\Property] public bool $again,
    ) {}
}
