<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A planned flight. */
#[OA\Schema]
final readonly class SectorView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $date,
        #[OA\Property] public string $number,
        #[OA\Property] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property] public string $use,
    ) {}
}
