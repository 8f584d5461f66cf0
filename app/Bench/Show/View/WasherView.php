<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A serrated washer, its steps counted out. */
#[OA\Schema]
final readonly class WasherView
{
    public function __construct(
        #[OA\Property] public string $adjuster,
        #[OA\Property] public int $unitTeeth,
        #[OA\Property] public int $leverTeeth,
        #[OA\Property(description: 'Of both together on the unit, clockwise positive')] public int $unitSteps,
        #[OA\Property(description: 'Serrations of the lever on the washer, clockwise positive')] public int $leverSteps,
        /** @var list<string> what to do, in order */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $said,
        #[OA\Property] public string $makes,
    ) {}
}
