<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Bottles and accumulators by when they must be changed. */
#[OA\Schema]
final readonly class BottlesView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $today,
        /** @var list<BottleView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BottleView::class))] public array $bottles,
    ) {}
}
