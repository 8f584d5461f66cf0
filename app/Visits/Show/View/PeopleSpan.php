<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** People of a skill at work, and how many are there. */
#[OA\Schema]
final readonly class PeopleSpan
{
    public function __construct(
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public int $used,
        #[OA\Property] public int $there,
    ) {}
}
