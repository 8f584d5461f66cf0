<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** The fault trees. */
#[OA\Schema]
final readonly class TreesRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<TreeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TreeView::class))] public array $trees,
        /** @var list<string> types */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $types,
        #[OA\Property] public bool $may,
    ) {}
}
