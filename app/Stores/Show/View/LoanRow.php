<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** Something out on a card. */
#[OA\Schema]
final readonly class LoanRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $what,
        #[OA\Property] public int $quantity,
        #[OA\Property] public string $card,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $by,
        #[OA\Property] public string $since,
    ) {}
}
