<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** Something that stands in the way of release, and where it is. */
#[OA\Schema]
final readonly class BlockerView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property] public string $link,
    ) {}
}
