<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** An attempt that goes on. */
#[OA\Schema]
final readonly class AttemptPick
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'RFC 3339')] public string $begun,
    ) {}
}
