<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** What may be carried on a type. */
#[OA\Schema]
final readonly class ListedRoom
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $revision,
        #[OA\Property] public string $today,
        /** @var list<ListedRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ListedRow::class))] public array $items,
        /** @var list<string> revisions, the last first */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $revisions,
        /** @var list<ProgrammeCard> that an item may name */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgrammeCard::class))] public array $cards,
        /** @var list<string> that an item may need */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $systems,
        /** @var list<string> that a flight may be stated to meet */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $conditions,
    ) {}
}
