<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** What an aircraft has flown and what was done to it. */
#[OA\Schema]
final readonly class HistoryView
{
    public function __construct(
        /** @var list<MonthView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MonthView::class))] public array $months,
        /** @var list<FlyingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FlyingView::class))] public array $flying,
        /** @var list<DoneView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DoneView::class))] public array $done,
        /** @var list<FittedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FittedView::class))] public array $fitted,
    ) {}
}
