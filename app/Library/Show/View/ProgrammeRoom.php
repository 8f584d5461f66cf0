<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A type's programme. */
#[OA\Schema]
final readonly class ProgrammeRoom
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $name,
        #[OA\Property] public string $arrangement,
        #[OA\Property] public string $sentence,
        /** @var list<ProgrammeRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgrammeRow::class))] public array $items,
        /** @var list<ProgrammeCard> that an item may name */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgrammeCard::class))] public array $cards,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $components,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $conditions,
    ) {}
}
