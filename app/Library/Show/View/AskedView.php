<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** Something in a file that may not be meant, by its line. */
#[OA\Schema]
final readonly class AskedView
{
    public function __construct(
        #[OA\Property] public string $line,
        #[OA\Property] public string $message,
    ) {}
}
