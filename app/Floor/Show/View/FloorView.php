<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** The room Floor. */
#[OA\Schema]
final readonly class FloorView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<CardRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CardRow::class))] public array $cards,
    ) {}
}
