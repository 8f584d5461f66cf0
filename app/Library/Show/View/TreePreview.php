<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A fault tree while it is written: drawn, or what is wrong with it and where. */
#[OA\Schema]
final readonly class TreePreview
{
    public function __construct(
        #[OA\Property] public ?string $path,
        #[OA\Property] public ?string $fault,
        /** @var list<TreeNodeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TreeNodeView::class))] public array $nodes,
    ) {}
}
