<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Somebody who may stand over a trainee. */
#[OA\Schema]
final readonly class SupervisorView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
    ) {}
}
