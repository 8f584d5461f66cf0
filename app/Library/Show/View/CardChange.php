<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One place in which two versions of a card differ. */
#[OA\Schema]
final readonly class CardChange
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $was,
        #[OA\Property] public string $is,
        #[OA\Property] public bool $warningGone,
    ) {}
}
