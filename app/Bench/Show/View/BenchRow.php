<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A test or a rigging sheet on an open card. */
#[OA\Schema]
final readonly class BenchRow
{
    public function __construct(
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $card,
        #[OA\Property] public string $mark,
        #[OA\Property] public int $step,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
    ) {}
}
