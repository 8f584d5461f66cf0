<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A bay with what stands in it. */
#[OA\Schema]
final readonly class BayView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $base,
        #[OA\Property] public int $people,
        /** nothing is worked in it but washes: it has no free stretches */
        #[OA\Property] public bool $washes,
        #[OA\Property] public string $hours,
        /** @var list<BayBlock> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BayBlock::class))] public array $blocks,
    ) {}
}
