<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One aircraft with its items. */
#[OA\Schema]
final readonly class AircraftView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $typeName,
        #[OA\Property] public string $arrangement,
        #[OA\Property] public string $fleet,
        #[OA\Property] public string $base,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $conditions,
        #[OA\Property] public string $state,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $today,
        #[OA\Property] public string $countersAsOf,
        #[OA\Property] public ReachRow $reach,
        /** @var list<Counter> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: Counter::class))] public array $counters,
        /** @var list<DueView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DueView::class))] public array $items,
        /** @var list<ComponentView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComponentView::class))] public array $components,
        #[OA\Property] public PlanView $plan,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $visitIds,
        #[OA\Property] public int $safing,
    ) {}
}
