<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What an engine did at one change of mode of a recording. */
#[OA\Schema]
final readonly class ChangeOverView
{
    public function __construct(
        #[OA\Property] public float $t,
        #[OA\Property] public string $to,
        #[OA\Property] public string $look,
        #[OA\Property] public string $said,
        #[OA\Property] public float $high,
        #[OA\Property] public float $low,
    ) {}
}
