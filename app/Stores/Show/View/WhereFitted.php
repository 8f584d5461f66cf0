<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** Where pieces of a part went. */
#[OA\Schema]
final readonly class WhereFitted
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $card,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $position,
        #[OA\Property] public ?string $batch,
        #[OA\Property] public int $quantity,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $stands,
    ) {}
}
