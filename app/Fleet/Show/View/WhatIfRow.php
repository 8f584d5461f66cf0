<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One aircraft before and after. */
#[OA\Schema]
final readonly class WhatIfRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public ReachRow $before,
        #[OA\Property] public ReachRow $after,
        /** @var list<WhatIfItem> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WhatIfItem::class))] public array $items,
    ) {}
}
