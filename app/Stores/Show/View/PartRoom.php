<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** One part number with its batches, what moved, and where it went. */
#[OA\Schema]
final readonly class PartRoom
{
    public function __construct(
        #[OA\Property] public StorePart $part,
        #[OA\Property] public string $sentence,
        /** @var list<StoreBatch> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoreBatch::class))] public array $batches,
        /** @var list<OrderView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: OrderView::class))] public array $orders,
        /** @var list<StockMove> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StockMove::class))] public array $moves,
        /** @var list<WhereFitted> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WhereFitted::class))] public array $fitted,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
