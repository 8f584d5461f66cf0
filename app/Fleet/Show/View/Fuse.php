<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A deferral on the reach, in days from today. */
#[OA\Schema]
final readonly class Fuse
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $title,
        #[OA\Property] public int $days,
        #[OA\Property] public string $date,
    ) {}
}
