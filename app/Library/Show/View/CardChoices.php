<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** What the fields of a card may be. */
#[OA\Schema]
final readonly class CardChoices
{
    public function __construct(
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $manuals,
        /** of the first of them */
        #[OA\Property] public int $revision,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $zones,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $skills,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tools,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $parts,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $panels,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $systems,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cards,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $units,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $proofs,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $hows,
        /** @var list<string> kinds of unit that are fitted to the type */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $components,
        /** @var list<string> where they stand */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $positions,
        /** @var list<string> specifications of fluids, greases, sealants, gases */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $products,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $figures,
        /** @var list<string> fault trees */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $trees,
    ) {}
}
