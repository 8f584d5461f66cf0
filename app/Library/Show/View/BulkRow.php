<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One card that a change of many would touch. */
#[OA\Schema]
final readonly class BulkRow
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $was,
        #[OA\Property] public string $is,
        #[OA\Property] public ?string $why,
    ) {}
}
