<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A defect carried, and for how long. */
#[OA\Schema]
final readonly class DeferralView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $finding,
        #[OA\Property] public string $place,
        #[OA\Property] public string $extent,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $category,
        #[OA\Property] public string $discovered,
        #[OA\Property] public ?string $expires,
        #[OA\Property] public ?string $date,
        #[OA\Property] public ?int $daysLeft,
        #[OA\Property] public string $left,
        #[OA\Property] public string $driver,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public string $placard,
        #[OA\Property] public string $procedure,
        #[OA\Property] public string $conditions,
    ) {}
}
