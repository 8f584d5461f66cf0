<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One aircraft of a phased fleet. */
#[OA\Schema]
final readonly class StaggerRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $next,
        #[OA\Property] public float $left,
        #[OA\Property] public float $target,
        #[OA\Property] public float $distance,
        #[OA\Property] public ?string $date,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $hours,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $weekNotes,
        #[OA\Property] public ?int $unplanned,
        #[OA\Property] public float $total,
        #[OA\Property] public float $planned,
        #[OA\Property] public string $advice,
        #[OA\Property] public float $endLeft,
        #[OA\Property] public float $endTarget,
        #[OA\Property] public string $state,
    ) {}
}
