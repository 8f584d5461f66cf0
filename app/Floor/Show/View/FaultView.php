<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What is wrong with a card that is being written, and where. */
#[OA\Schema]
final readonly class FaultView
{
    public function __construct(
        /** as in the file: `steps.3.spec.of` */
        #[OA\Property] public string $path,
        #[OA\Property] public string $place,
        #[OA\Property] public string $message,
    ) {}
}
