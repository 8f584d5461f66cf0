<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Limits that were exceeded, the latest first. */
#[OA\Schema]
final readonly class ExceedancesView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<ExceedanceView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExceedanceView::class))] public array $rows,
        /** @var list<RulePick> limits with a table */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RulePick::class))] public array $limits,
        /** @var list<AircraftPick> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AircraftPick::class))] public array $aircraft,
        #[OA\Property] public bool $may,
        /** the present time at the base, to begin with */
        #[OA\Property] public string $now,
        #[OA\Property] public string $today,
    ) {}
}
