<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Due items packed into visits. */
#[OA\Schema]
final readonly class PackView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public int $days,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        #[OA\Property] public float $cost,
        #[OA\Property] public float $lifeDays,
        #[OA\Property] public bool $proven,
        #[OA\Property] public bool $proposed,
        #[OA\Property] public bool $maySave,
        /** @var list<PackSlot> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PackSlot::class))] public array $slots,
        /** @var list<PackLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PackLine::class))] public array $items,
        /** @var list<PackAircraft> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PackAircraft::class))] public array $aircraft,
    ) {}
}
