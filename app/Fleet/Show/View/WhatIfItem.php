<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** An item whose date moves. */
#[OA\Schema]
final readonly class WhatIfItem
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $before,
        #[OA\Property] public ?string $after,
        #[OA\Property] public ?int $days,
        #[OA\Property] public string $state,
        #[OA\Property] public ?string $trouble,
    ) {}
}
