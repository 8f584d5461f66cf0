<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** How far a search for a season is, and what it found. */
#[OA\Schema]
final readonly class SeasonRunView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $state,
        #[OA\Property] public string $words,
        #[OA\Property] public int $days,
        #[OA\Property] public int $seconds,
        #[OA\Property] public float $share,
        #[OA\Property] public bool $ended,
        /** @var list<SeasonLaidView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonLaidView::class))] public array $visits,
    ) {}
}
