<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A proposal that was handed to the flying programme. */
#[OA\Schema]
final readonly class SentSwapView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $day,
        #[OA\Property] public string $said,
        #[OA\Property] public bool $accepted,
        #[OA\Property] public string $answer,
        #[OA\Property] public string $by,
    ) {}
}
