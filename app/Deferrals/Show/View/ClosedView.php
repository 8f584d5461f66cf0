<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A deferral that is closed. */
#[OA\Schema]
final readonly class ClosedView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $finding,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $place,
        #[OA\Property] public string $discovered,
        #[OA\Property] public string $closed,
        #[OA\Property] public int $days,
        #[OA\Property] public string $how,
    ) {}
}
