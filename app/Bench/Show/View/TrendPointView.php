<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** One reading of a trend. */
#[OA\Schema]
final readonly class TrendPointView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public float $value,
        #[OA\Property] public string $look,
        #[OA\Property] public string $note,
        #[OA\Property] public ?string $tool,
    ) {}
}
