<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use App\Library\Show\View\FigureView;
use App\Library\Show\View\LessonView;
use App\Library\Show\View\QuestionView;
use OpenApi\Attributes as OA;

/** A card with everything on it. */
#[OA\Schema]
final readonly class CardView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $effectivity,
        #[OA\Property] public string $title,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $section,
        #[OA\Property] public string $manual,
        #[OA\Property] public int $revision,
        #[OA\Property] public int $revisionNow,
        #[OA\Property] public string $method,
        #[OA\Property] public ?string $held,
        #[OA\Property] public string $skill,
        #[OA\Property] public string $zone,
        #[OA\Property] public bool $independentInspection,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $covers,
        #[OA\Property] public string $state,
        #[OA\Property] public int $version,
        #[OA\Property] public float $hours,
        #[OA\Property] public int $visitId,
        #[OA\Property] public string $visit,
        #[OA\Property] public string $sentence,
        #[OA\Property] public ?int $next,
        #[OA\Property] public ?string $signedBy,
        #[OA\Property] public ?string $inspectedBy,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $people,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
        #[OA\Property] public ?string $inspectWhy,
        #[OA\Property] public ?string $workWhy,
        /** @var list<HoldView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HoldView::class))] public array $underway,
        /** @var list<HoldView> what this card left running or live */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HoldView::class))] public array $live,
        #[OA\Property] public ?string $statement,
        #[OA\Property(ref: FindingView::class, nullable: true)] public ?FindingView $fixes,
        /** @var list<PresenceView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PresenceView::class))] public array $there,
        /** @var list<string> names that a roll-call may be made with: who is at work at the base today */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $crew,
        #[OA\Property(ref: HandoverView::class, nullable: true)] public ?HandoverView $handover,
        #[OA\Property] public string $stateNow,
        /** @var list<StepView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class))] public array $steps,
        /** @var list<FindingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FindingView::class))] public array $findings,
        /** @var list<SafingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SafingView::class))] public array $safing,
        /** @var list<ToolView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ToolView::class))] public array $tools,
        /** @var list<PartView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartView::class))] public array $parts,
        /** @var list<LoanView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoanView::class))] public array $loans,
        /** @var list<QuestionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionView::class))] public array $questions,
        /** @var list<StoppageView> what it waits for */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoppageView::class))] public array $waits,
        /** @var list<NotWholeView> on its aircraft */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NotWholeView::class))] public array $notWhole,
        /** @var list<ProductView> batches of what its steps put in */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProductView::class))] public array $products,
        /** it is a check on the line, signed good by itself */
        #[OA\Property] public bool $line,
        /** @var list<LessonView> what went wrong here once, and you have not read */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonView::class))] public array $lessons,
        /** version of its text that is in force, where nobody has begun it and it was made from an older one */
        #[OA\Property] public ?int $newer,
        /** @var list<FigureView> that its steps show */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FigureView::class))] public array $figures,
        /** @var list<TestView> its functional tests */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestView::class))] public array $tests,
        /** @var list<ClockedView> how long each was at it */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClockedView::class))] public array $clocked,
        /** hours of all of them, to a tenth */
        #[OA\Property] public ?float $clockedHours,
    ) {}
}
