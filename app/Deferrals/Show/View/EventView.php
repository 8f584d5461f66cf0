<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** One of the rows behind a figure. */
#[OA\Schema]
final readonly class EventView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $said,
        #[OA\Property] public string $link,
    ) {}
}
