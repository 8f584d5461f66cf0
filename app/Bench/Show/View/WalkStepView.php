<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** One answer on the way through a fault tree. */
#[OA\Schema]
final readonly class WalkStepView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $cause,
        #[OA\Property] public string $by,
    ) {}
}
