<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A block, cut into phases. */
#[OA\Schema]
final readonly class PhasesView
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $phases,
        #[OA\Property] public int $months,
        #[OA\Property] public float $blockHours,
        #[OA\Property] public float $blockAccess,
        #[OA\Property] public float $blockTotal,
        #[OA\Property] public float $blockDays,
        #[OA\Property] public float $longest,
        #[OA\Property] public float $total,
        #[OA\Property] public float $totalAccess,
        #[OA\Property] public float $lowerBound,
        #[OA\Property] public bool $proven,
        /** @var list<PhaseView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PhaseView::class))] public array $cut,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $types,
    ) {}
}
