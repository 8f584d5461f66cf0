<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** The coming flights of whoever carries something. */
#[OA\Schema]
final readonly class SectorsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $days,
        /** @var list<CarrierView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CarrierView::class))] public array $aircraft,
        /** @var list<SentSwapView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SentSwapView::class))] public array $swaps,
        #[OA\Property] public bool $may,
    ) {}
}
