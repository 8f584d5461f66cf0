<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One attempt at a functional test, in a line. */
#[OA\Schema]
final readonly class AttemptView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $no,
        #[OA\Property(description: 'begun, passed, failed, invalid, broken_off')] public string $state,
        #[OA\Property(description: 'clear, watch, stop or waiting')] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public string $said,
        #[OA\Property] public bool $stands,
    ) {}
}
