<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A card whose test could say that it is no fault, or one that could be made. */
#[OA\Schema]
final readonly class ProofView
{
    public function __construct(
        #[OA\Property(description: 'of the card; 0 for one that could be made')] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $said,
    ) {}
}
