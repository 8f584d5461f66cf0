<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** What ends an aircraft's reach. */
#[OA\Schema]
final readonly class StopView
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $date,
        #[OA\Property] public int $days,
        #[OA\Property] public ?string $item,
    ) {}
}
