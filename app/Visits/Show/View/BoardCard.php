<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A card on the board; its places are slots of working time, from the board's first. */
#[OA\Schema]
final readonly class BoardCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $stage,
        #[OA\Property] public string $state,
        #[OA\Property] public string $zone,
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public int $lane,
        #[OA\Property] public bool $onChain,
        #[OA\Property] public bool $late,
        #[OA\Property] public string $when,
        #[OA\Property] public string $people,
        /** @var list<string> that it needs */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $skills,
        /** @var list<string> names of who is on it */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $crew,
        #[OA\Property] public string $slack,
        #[OA\Property] public ?string $pinned,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $configuration,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lacks,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $waitsFor,
    ) {}
}
