<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A rigging in a list. */
#[OA\Schema]
final readonly class RiggingRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $card,
        #[OA\Property] public int $no,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public int $rounds,
        #[OA\Property] public string $when,
        #[OA\Property] public ?string $date,
    ) {}
}
