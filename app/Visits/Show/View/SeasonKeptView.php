<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** What was kept of a season. */
#[OA\Schema]
final readonly class SeasonKeptView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $visits,
    ) {}
}
