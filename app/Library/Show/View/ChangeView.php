<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One thing an import would change. */
#[OA\Schema]
final readonly class ChangeView
{
    public function __construct(
        #[OA\Property] public string $subject,
        #[OA\Property] public string $what,
        #[OA\Property] public string $before,
        #[OA\Property] public string $after,
        /** Whether it is what stops an aircraft first, moved or not. */
        #[OA\Property] public bool $stop = false,
    ) {}
}
