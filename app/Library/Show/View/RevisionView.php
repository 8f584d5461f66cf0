<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One revision of a manual. */
#[OA\Schema]
final readonly class RevisionView
{
    public function __construct(
        #[OA\Property] public int $revision,
        #[OA\Property] public string $issued,
        #[OA\Property] public string $summary,
        #[OA\Property] public int $passages,
    ) {}
}
