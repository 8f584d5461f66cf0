<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A change of mode in a recording. */
#[OA\Schema]
final readonly class ModeView
{
    public function __construct(
        #[OA\Property] public float $t,
        #[OA\Property] public string $mode,
    ) {}
}
