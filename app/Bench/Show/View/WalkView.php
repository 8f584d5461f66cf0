<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use App\Library\Show\View\TreeNodeView;
use OpenApi\Attributes as OA;

/** The way through a fault tree for a finding. */
#[OA\Schema]
final readonly class WalkView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $findingId,
        #[OA\Property] public string $finding,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $tree,
        #[OA\Property] public string $source,
        #[OA\Property] public int $version,
        /** @var list<TreeNodeView> the tree, with the way marked */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TreeNodeView::class))] public array $nodes,
        #[OA\Property(description: 'the question that is open')] public ?string $here,
        /** @var list<WalkStepView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WalkStepView::class))] public array $path,
        #[OA\Property] public ?string $cause,
        #[OA\Property(description: 'the card that answers the open question')] public ?int $cardId,
        #[OA\Property] public ?string $card,
        #[OA\Property] public bool $cardClosed,
        #[OA\Property(description: 'the card with the test')] public int $testCardId,
        #[OA\Property] public int $testStep,
        #[OA\Property] public bool $may,
    ) {}
}
