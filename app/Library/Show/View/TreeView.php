<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A fault tree as it is drawn. */
#[OA\Schema]
final readonly class TreeView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $source,
        #[OA\Property] public int $version,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $mayDecide,
        #[OA\Property(description: 'the tree as JSON, to be changed')] public string $json,
        /** @var list<TreeNodeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TreeNodeView::class))] public array $nodes,
    ) {}
}
