<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A visit of a season. */
#[OA\Schema]
final readonly class SeasonBlock
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public ?int $visit,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public int $from,
        #[OA\Property] public int $to,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $pinned,
        #[OA\Property] public bool $stands,
        #[OA\Property] public bool $changed,
        #[OA\Property] public float $hours,
        #[OA\Property] public float $free,
        #[OA\Property] public float $own,
        #[OA\Property] public string $state,
        /** @var list<SeasonNeed> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonNeed::class))] public array $items,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $problems,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $notes,
        /** a kept visit of which nothing is left as it is laid */
        #[OA\Property] public bool $gone,
    ) {}
}
