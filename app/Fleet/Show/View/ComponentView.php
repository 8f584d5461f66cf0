<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A component that is fitted. */
#[OA\Schema]
final readonly class ComponentView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $partNo,
        #[OA\Property] public string $serial,
        #[OA\Property] public string $position,
        #[OA\Property] public string $since,
        #[OA\Property] public string $counters,
        #[OA\Property] public bool $gauge,
    ) {}
}
