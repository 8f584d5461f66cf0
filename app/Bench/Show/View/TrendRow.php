<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A point that is followed. */
#[OA\Schema]
final readonly class TrendRow
{
    public function __construct(
        #[OA\Property] public int $readingId,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $card,
        #[OA\Property] public string $last,
        #[OA\Property] public int $readings,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public ?string $date,
        #[OA\Property] public string $said,
    ) {}
}
