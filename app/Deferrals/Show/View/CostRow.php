<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** What cost most hours to put right. */
#[OA\Schema]
final readonly class CostRow
{
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public int $findings,
        #[OA\Property] public float $hours,
    ) {}
}
