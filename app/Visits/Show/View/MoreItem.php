<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A due item that a visit could take, or why it could not. */
#[OA\Schema]
final readonly class MoreItem
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $latest,
        #[OA\Property] public float $hours,
        #[OA\Property] public ?string $why,
    ) {}
}
