<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A piece of text that stayed, went or came. */
#[OA\Schema]
final readonly class DiffPiece
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $text,
    ) {}
}
