<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A visit in which an aircraft's re-checks can be made. */
#[OA\Schema]
final readonly class RecheckVisit
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $words,
    ) {}
}
