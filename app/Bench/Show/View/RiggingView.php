<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use App\Floor\Show\View\RunView;
use OpenApi\Attributes as OA;

/** A rigging as it was: every round, and what it taught. */
#[OA\Schema]
final readonly class RiggingView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $mark,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $card,
        #[OA\Property] public int $no,
        #[OA\Property] public string $title,
        #[OA\Property] public string $source,
        /** as in core/schema/step.json */
        #[OA\Property(type: 'object')] public object $spec,
        /** @var list<RunView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RunView::class))] public array $runs,
        /** @var list<LearnedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LearnedView::class))] public array $learned,
        /** @var list<string> with which it was read */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tools,
        /** @var list<RiggingRow> earlier and later ones of the same linkage on this aircraft */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RiggingRow::class))] public array $others,
        /** @var list<SidesView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SidesView::class))] public array $sides,
        /** hours since this one; null where its card has not been closed */
        #[OA\Property] public ?string $since,
    ) {}
}
