<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** The bays. */
#[OA\Schema]
final readonly class BaysView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $from,
        #[OA\Property] public int $days,
        /** @var list<BayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BayView::class))] public array $bays,
    ) {}
}
