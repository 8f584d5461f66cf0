<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A manual and its revision in force. */
#[OA\Schema]
final readonly class ManualView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public int $revision,
        #[OA\Property] public int $templates,
        #[OA\Property] public int $stale,
    ) {}
}
