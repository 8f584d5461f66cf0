<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What is out on a card. */
#[OA\Schema]
final readonly class LoanView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $what,
        #[OA\Property] public int $quantity,
        #[OA\Property] public string $by,
        #[OA\Property] public string $since,
    ) {}
}
