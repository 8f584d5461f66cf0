<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** The points that are followed, those that will be out first, first. */
#[OA\Schema]
final readonly class TrendsRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<TrendRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendRow::class))] public array $rows,
    ) {}
}
