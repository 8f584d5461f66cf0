<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Dates before and after a supposed change; nothing is saved. */
#[OA\Schema]
final readonly class WhatIfView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $base,
        /** @var list<WhatIfRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WhatIfRow::class))] public array $aircraft,
    ) {}
}
