<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A shift with its slots and its people. */
#[OA\Schema]
final readonly class ShiftView
{
    public function __construct(
        #[OA\Property] public string $base,
        #[OA\Property] public string $date,
        #[OA\Property] public string $shift,
        #[OA\Property] public string $hours,
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $saved,
        #[OA\Property] public bool $proven,
        /** @var list<SlotView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SlotView::class))] public array $slots,
        /** @var list<ShiftPerson> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShiftPerson::class))] public array $people,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $bases,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $shifts,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
