<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A visit that can take items, planned already or only a free stretch of a bay. */
#[OA\Schema]
final readonly class PackSlot
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public float $capacity,
        #[OA\Property] public float $itemHours,
        #[OA\Property] public float $accessHours,
        #[OA\Property] public float $freeHours,
        #[OA\Property] public ?string $problem,
    ) {}
}
