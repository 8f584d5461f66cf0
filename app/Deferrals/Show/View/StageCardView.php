<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A card of a deferral. */
#[OA\Schema]
final readonly class StageCardView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
    ) {}
}
