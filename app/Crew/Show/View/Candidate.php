<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Somebody who might take a place on a card, and why not. */
#[OA\Schema]
final readonly class Candidate
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $stamp,
        #[OA\Property] public string $shift,
        #[OA\Property] public bool $fits,
        #[OA\Property] public ?string $why,
        #[OA\Property] public ?string $remark = null,
    ) {}
}
