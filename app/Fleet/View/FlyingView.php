<?php

declare(strict_types=1);

namespace App\Fleet\View;

use OpenApi\Attributes as OA;

/** One day flown. */
#[OA\Schema]
final readonly class FlyingView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $flown,
    ) {}
}
