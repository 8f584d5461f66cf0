<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** One signal of a recording, with the limit that it is watched against. */
#[OA\Schema]
final readonly class SignalView
{
    public function __construct(
        #[OA\Property] public string $signal,
        #[OA\Property] public string $unit,
        #[OA\Property] public ?float $limit,
        #[OA\Property] public bool $over,
        #[OA\Property] public ?string $position,
    ) {}
}
