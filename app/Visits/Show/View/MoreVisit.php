<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Another visit of the same aircraft. */
#[OA\Schema]
final readonly class MoreVisit
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $start,
    ) {}
}
