<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A phased fleet against its straight line, and hours that bring it back. */
#[OA\Schema]
final readonly class StaggerView
{
    public function __construct(
        #[OA\Property] public string $fleet,
        #[OA\Property] public string $name,
        #[OA\Property] public string $type,
        #[OA\Property] public float $interval,
        #[OA\Property] public string $sentence,
        #[OA\Property] public float $spread,
        #[OA\Property] public float $endSpread,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $tasks,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $short,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $weeks,
        /** @var list<StaggerRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StaggerRow::class))] public array $rows,
    ) {}
}
