<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** The programme of one type. */
#[OA\Schema]
final readonly class ProgrammeView
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $name,
        #[OA\Property] public string $arrangement,
        #[OA\Property] public int $items,
    ) {}
}
