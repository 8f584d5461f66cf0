<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What an instrument shows now. */
#[OA\Schema]
final readonly class ShownView
{
    public function __construct(
        #[OA\Property] public ?string $entry,
        #[OA\Property] public string $sentence,
    ) {}
}
