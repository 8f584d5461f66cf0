<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** One of the phases. */
#[OA\Schema]
final readonly class PhaseView
{
    public function __construct(
        #[OA\Property] public int $no,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $items,
        #[OA\Property] public float $hours,
        #[OA\Property] public float $accessHours,
        #[OA\Property] public float $total,
        #[OA\Property] public float $days,
    ) {}
}
