<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** A visit on its way out. */
#[OA\Schema]
final readonly class ReleaseRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $end,
        #[OA\Property] public string $state,
        #[OA\Property] public int $blockers,
        #[OA\Property] public ?string $number,
        #[OA\Property] public string $said,
        #[OA\Property] public string $when,
    ) {}
}
