<?php

declare(strict_types=1);

namespace App\Shared\View;

use OpenApi\Attributes as OA;

/** An answer that says what was done and kept. */
#[OA\Schema]
final readonly class Said
{
    public function __construct(
        #[OA\Property] public string $message,
    ) {}
}
