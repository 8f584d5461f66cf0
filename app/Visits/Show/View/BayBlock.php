<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A visit, a free stretch or a closure of a bay; `kind` is the visit's state, `free` or `closed`. */
#[OA\Schema]
final readonly class BayBlock
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public float $hours,
        #[OA\Property] public ?string $mark,
        #[OA\Property] public ?int $visit,
        #[OA\Property] public string $note,
    ) {}
}
