<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft of a season, with the days on which it has flights. */
#[OA\Schema]
final readonly class SeasonAircraft
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $base,
        #[OA\Property] public string $fleet,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $flies,
    ) {}
}
