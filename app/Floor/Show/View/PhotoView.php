<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A photo of a finding. */
#[OA\Schema]
final readonly class PhotoView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $url,
        #[OA\Property] public string $at,
        #[OA\Property] public int $bytes,
    ) {}
}
