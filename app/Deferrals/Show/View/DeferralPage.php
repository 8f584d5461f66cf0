<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** One deferral, from its finding to the log. */
#[OA\Schema]
final readonly class DeferralPage
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public DeferralView $deferral,
        #[OA\Property(description: 'open or closed')] public string $stands,
        #[OA\Property] public string $log,
        /** @var list<DriverView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DriverView::class))] public array $drivers,
        #[OA\Property] public ?StageCardView $safe,
        /** @var list<StayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StayView::class))] public array $devices,
        /** @var list<string> what it forbids and restricts, with the crew's part */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $limits,
        /** @var list<StageView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StageView::class))] public array $stages,
        /** @var list<ClosureStayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosureStayView::class))] public array $slots,
        #[OA\Property] public float $hours,
        #[OA\Property(description: 'days by which it may be extended; 0 where it may not')] public int $extend,
        #[OA\Property] public string $extendWhy,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $extensions,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $story,
        /** @var list<string> take_back, extend, needs, plan, placard, close */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
