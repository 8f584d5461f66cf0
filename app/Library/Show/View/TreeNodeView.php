<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One question of a fault tree, with where it stands on the drawing: across and down, in steps. */
#[OA\Schema]
final readonly class TreeNodeView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property(description: 'answer, measure, card, test, end')] public string $ask,
        #[OA\Property] public ?string $unit,
        #[OA\Property] public ?string $card,
        #[OA\Property] public ?string $whom,
        #[OA\Property] public int $down,
        #[OA\Property] public int $across,
        /** @var list<TreeBranchView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TreeBranchView::class))] public array $branches,
        #[OA\Property(description: 'open, here or past on a walk')] public string $state = 'open',
    ) {}
}
