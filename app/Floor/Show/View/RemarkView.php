<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A word added at a step. */
#[OA\Schema]
final readonly class RemarkView
{
    public function __construct(
        #[OA\Property] public string $text,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        /** a photo taken with it */
        #[OA\Property] public ?string $photo,
    ) {}
}
