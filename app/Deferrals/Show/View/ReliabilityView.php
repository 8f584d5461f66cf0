<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** How often findings, reports, deferrals and removals come. */
#[OA\Schema]
final readonly class ReliabilityView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $what,
        #[OA\Property] public string $by,
        #[OA\Property] public int $days,
        /** @var list<RateRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RateRow::class))] public array $rows,
        #[OA\Property] public string $repeats,
        /** @var list<CostRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CostRow::class))] public array $costly,
        /** @var list<LifeRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LifeRow::class))] public array $lives,
    ) {}
}
