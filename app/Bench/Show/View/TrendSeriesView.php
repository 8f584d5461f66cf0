<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** The same point of another aircraft. */
#[OA\Schema]
final readonly class TrendSeriesView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public int $readingId,
        /** @var list<TrendPointView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendPointView::class))] public array $points,
    ) {}
}
