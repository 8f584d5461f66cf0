<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One step of a card. */
#[OA\Schema]
final readonly class StepView
{
    public function __construct(
        #[OA\Property] public int $no,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property(type: 'object', additionalProperties: true)] public object $spec,
        #[OA\Property] public string $state,
        #[OA\Property] public ?string $held,
        #[OA\Property] public ?string $acts,
        /** @var list<HoldView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HoldView::class))] public array $holds,
        /** @var list<int> steps that fall when it is taken back */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $fallsWith,
        #[OA\Property] public ?string $startedAt,
        #[OA\Property] public ?int $heldFor,
        #[OA\Property(type: 'object', additionalProperties: true)] public object $result,
        #[OA\Property] public ?string $doneBy,
        #[OA\Property] public ?string $doneAt,
        /** @var list<ReadingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadingView::class))] public array $readings,
        /** @var list<RunView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RunView::class))] public array $runs,
        /** why the template does not mean this aircraft or position by it */
        #[OA\Property] public ?string $notFor,
        /** whether a person may say that it does not apply */
        #[OA\Property] public bool $mayNotApply,
        /** @var list<PointView> of a circuit */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PointView::class))] public array $points,
        /** @var list<RemarkView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RemarkView::class))] public array $remarks,
        /** the mark that it wants met, with its unit */
        #[OA\Property] public ?string $mark,
        /** @var list<string> what it disturbs, joins and proves */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $handles,
        /** of a step that exchanges a unit */
        #[OA\Property] public ?ExchangeView $exchange = null,
        /** what an uplift says of use and leaks */
        #[OA\Property] public ?string $uplift = null,
        /** @var list<string> what came off, went on or in, and what a gauge showed */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $went = [],
        /** of a rigging sheet that is read in ground runs */
        #[OA\Property] public ?GroundView $ground = null,
        /** how it felt last time, or what the fleet usually reads there */
        #[OA\Property] public ?string $before = null,
    ) {}
}
