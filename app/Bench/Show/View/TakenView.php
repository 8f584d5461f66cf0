<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What was taken from an instrument. */
#[OA\Schema]
final readonly class TakenView
{
    public function __construct(#[OA\Property] public int $taken, #[OA\Property] public string $tool) {}
}
