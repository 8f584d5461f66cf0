<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A visit of a season as it is sent. */
#[OA\Schema]
final readonly class SeasonLaidView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $items,
        #[OA\Property] public bool $pinned,
        #[OA\Property] public string $title,
        #[OA\Property] public float $hours,
    ) {}
}
