<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A code, shown this once to whoever made it. */
#[OA\Schema]
final readonly class PinCodeView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $said,
    ) {}
}
