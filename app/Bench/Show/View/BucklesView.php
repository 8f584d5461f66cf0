<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** Two turnbuckles turned equal and opposite, with the threads that show. */
#[OA\Schema]
final readonly class BucklesView
{
    public function __construct(
        #[OA\Property] public string $adjuster,
        /** @var list<string> of the two */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $names,
        /** @var list<float> threads showing now: both ends of the first, then of the second */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $now,
        /** @var list<float> and after what is typed */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $after,
        #[OA\Property] public float $most,
        #[OA\Property] public bool $good,
        #[OA\Property] public string $said,
    ) {}
}
