<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** What a closure waits for, and when it is there. */
#[OA\Schema]
final readonly class NeedView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $what,
        #[OA\Property] public ?string $on,
        #[OA\Property] public string $said,
        #[OA\Property(description: 'clear, watch or stop')] public string $state,
        #[OA\Property] public bool $there,
    ) {}
}
