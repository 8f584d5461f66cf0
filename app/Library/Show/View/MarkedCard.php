<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A card of an open visit that cites the manual at an older revision. */
#[OA\Schema]
final readonly class MarkedCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public int $revision,
        #[OA\Property] public int $version,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $templateRead,
        #[OA\Property] public bool $begun,
    ) {}
}
