<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What an adjuster does to a point: by the book, on this aircraft, on others. */
#[OA\Schema]
final readonly class LearnedView
{
    public function __construct(
        #[OA\Property] public string $adjuster,
        #[OA\Property] public string $point,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $book,
        #[OA\Property] public float $here,
        /** two standard deviations */
        #[OA\Property] public float $sure,
        /** "-1.24 to -0.9 on 3 others"; '' where none was rigged */
        #[OA\Property] public string $fleet,
    ) {}
}
