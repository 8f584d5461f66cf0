<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A point on both sides, as it was found and left over the riggings of an aircraft. */
#[OA\Schema]
final readonly class SidesView
{
    public function __construct(
        #[OA\Property] public string $left,
        #[OA\Property] public string $right,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $min,
        #[OA\Property] public float $max,
        /** how near they must be; null where no match says it */
        #[OA\Property] public ?float $within,
        /** @var list<SideReading> the latest last */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SideReading::class))] public array $readings,
        /** @var list<string> how far each side went from one rigging to the next */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $moved,
    ) {}
}
