<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** One crew report, with what was last done there and how it may end. */
#[OA\Schema]
final readonly class ReportPage
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public CrewReportView $report,
        /** @var list<ChapterView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChapterView::class))] public array $chapters,
        /** @var list<ReportEvent> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReportEvent::class))] public array $before,
        /** @var list<string> the story of a repeat */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $story,
        /** @var list<ProofView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProofView::class))] public array $proofs,
        /** @var list<ProofView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProofView::class))] public array $tests,
        /** @var list<string> sort, finding, test, no_fault */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
