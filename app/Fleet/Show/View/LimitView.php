<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One limit of an item on an aircraft. */
#[OA\Schema]
final readonly class LimitView
{
    public function __construct(
        #[OA\Property] public string $unit,
        #[OA\Property] public string $base,
        #[OA\Property] public string $next,
        #[OA\Property] public string $remaining,
        #[OA\Property] public string $tolerance,
        #[OA\Property] public ?string $forecast,
        #[OA\Property] public ?string $latest,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $drives,
    ) {}
}
