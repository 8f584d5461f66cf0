<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A zone with its cards, in as many lanes as overlap. */
#[OA\Schema]
final readonly class BoardZone
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $lanes,
        /** @var list<BoardCard> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardCard::class))] public array $cards,
    ) {}
}
