<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** How many aircraft of a fleet are left for its flying each day. */
#[OA\Schema]
final readonly class SeasonFleet
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $all,
        #[OA\Property] public ?int $needs,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $left,
    ) {}
}
