<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A long search for a shorter plan. */
#[OA\Schema]
final readonly class PlanRunView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $state,
        #[OA\Property] public string $words,
        #[OA\Property] public int $seconds,
        #[OA\Property] public int $tried,
        #[OA\Property] public ?float $share,
        #[OA\Property] public bool $ended,
    ) {}
}
