<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What a card waits for. */
#[OA\Schema]
final readonly class StoppageView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $what,
        #[OA\Property] public ?int $step,
        #[OA\Property] public string $by,
        #[OA\Property] public string $since,
    ) {}
}
