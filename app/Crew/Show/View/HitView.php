<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A planned card that a lapse hits: who is assigned cannot work it, or nobody can any more. */
#[OA\Schema]
final readonly class HitView
{
    public function __construct(
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $on,
        #[OA\Property] public string $role,
        #[OA\Property] public bool $nobody,
    ) {}
}
