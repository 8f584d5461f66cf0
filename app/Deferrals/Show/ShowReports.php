<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Crew\Model\Person;
use App\Deferrals\Do\NewReport;
use App\Deferrals\Do\ReportsFile;
use App\Deferrals\Model\Report;
use App\Deferrals\ReportWords;
use App\Deferrals\Show\View\ChapterView;
use App\Deferrals\Show\View\CrewReportView;
use App\Deferrals\Show\View\ProofView;
use App\Deferrals\Show\View\ReportEvent;
use App\Deferrals\Show\View\ReportPage;
use App\Deferrals\Show\View\ReportsFileView;
use App\Deferrals\Show\View\ReportsView;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Show\PastEvent;
use App\Floor\Show\SystemHistory;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Shared\Words;

/** Crew reports: those that wait first, each with what was last done on its system and how it may end. */
final readonly class ShowReports
{
    /** Of those that are ended, the last ones. */
    private const ENDED = 40;

    /** What was done on a system before, the latest. */
    private const EVENTS = 12;

    public function __construct(
        private Clock $clock,
        private ReportJoin $join,
        private NoFault $noFault,
        private SystemHistory $history,
    ) {}

    public function all(Person $me): ReportsView
    {
        $with = ['aircraft', 'finding', 'proof', 'before', 'endedBy'];
        $open = Report::with($with)->where('state', Report::OPEN)->orderBy('happened_at')->get();
        $ended = Report::with($with)->whereNot('state', Report::OPEN)->orderByDesc('ended_at')->limit(self::ENDED)
            ->get();

        return new ReportsView(
            ReportWords::room(
                $open->count(),
                $open->whereNotNull('repeat_of')->count(),
                $open->whereNull('chapter')->count(),
            ),
            array_values($open->concat($ended)->map($this->view(...))->all()),
            array_values(Aircraft::orderBy('mark')->pluck('mark')->all()),
            $me->can('enter', Report::class),
        );
    }

    public function one(int $id, Person $me): ReportPage
    {
        $report = Report::with('aircraft.type', 'finding', 'proof', 'before.finding', 'before.proof', 'endedBy')
            ->findOrFail($id);
        $open = $report->state === Report::OPEN;
        $happened = $report->happened_at->dayIn($this->clock->zone());
        $events = $report->chapter === null ? collect() : $this->history->of(
            $report->aircraft,
            $report->chapter,
            $report->finding_id,
            $happened,
        );
        $suspect = $events->first(static fn(PastEvent $e): bool => $e->touched());
        $proofs = $this->noFault->proofs($report);
        $decides = $open && $me->can('decide', Report::class);

        return new ReportPage(
            "{$report->number} on {$report->aircraft->mark}, {$report->text}: ".ReportWords::stands($report).'.'
                .($suspect === null || ! $open ? '' : ' Last touched there: '.$suspect->title.', '
                    .Words::count($suspect->on->daysUntil($happened), 'day').' before.'),
            $this->view($report),
            array_map(
                static fn(array $c): ChapterView => new ChapterView($c['chapter'], implode(', ', $c['words'])),
                $this->join->chapters($report->aircraft->type_id, $report->text),
            ),
            array_values($events->take(self::EVENTS)->map(fn(PastEvent $e): ReportEvent => new ReportEvent(
                "{$this->clock->words($e->on)}, ".Words::count($e->flown, 'flight')." before: {$e->title}"
                    .($e->kind === 'item' ? '' : ", {$e->said}"),
                $e->link,
                $e === $suspect,
            ))->all()),
            $this->story($report),
            array_values($proofs->map(fn(Card $c): ProofView => new ProofView(
                $c->id,
                $c->number,
                $c->title,
                $c->closed_at === null ? '' : 'closed '.$this->clock->local($c->closed_at),
            ))->all()),
            array_values(($open ? $this->noFault->tests($report) : collect())->map(
                static fn(CardTemplate $t): ProofView
                    => new ProofView(0, $t->code, $t->title, Words::number($t->hours).' h'),
            )->all()),
            array_keys(array_filter([
                'sort' => $open && $me->can('enter', Report::class),
                'finding' => $open && $report->chapter !== null && $me->can('enter', Report::class),
                'test' => $decides && $report->chapter !== null,
                'no_fault' => $decides && $proofs->isNotEmpty(),
            ])),
        );
    }

    /** @param list<NewReport> $rows */
    public function file(array $rows, string $text, bool $entered): ReportsFileView
    {
        return new ReportsFileView(
            ($entered ? 'Entered: ' : 'This would enter ').Words::count(count($rows), 'report').'.',
            $entered,
            array_map(fn(NewReport $r): string
                => "{$r->aircraft->mark} {$r->flight}, {$this->clock->local($r->happened)}, "
                ."{$r->crew}: {$r->text}; chapter ".($r->chapter
                    ?? ($this->join->chapters($r->aircraft->type_id, $r->text)[0]['chapter'] ?? 'not known')), $rows),
            $text,
        );
    }

    /** @return list<NewReport> as {@see ReportsFile} reads them */
    public function read(string $text, string $source): array
    {
        return ReportsFile::read($text, $source, $this->clock)->rows;
    }

    private function view(Report $r): CrewReportView
    {
        return new CrewReportView(
            $r->id,
            $r->number,
            $r->aircraft->mark,
            $r->flight,
            $this->clock->local($r->happened_at),
            $r->crew,
            $r->text,
            $r->chapter,
            $r->chapter_said,
            $r->stands(),
            ReportWords::state($r),
            ReportWords::stands($r),
            $r->before?->number,
            $r->finding_id,
        );
    }

    /** @return list<string> how it went the times before, the first time last */
    private function story(Report $report): array
    {
        $out = [];
        for ($before = $report->before; $before !== null && count($out) < 10; $before = $before->before) {
            $before->loadMissing('finding', 'proof', 'before');
            $out[] = "{$before->number}, {$this->clock->local($before->happened_at)}, {$before->crew}: "
                ."{$before->text}; "
                .ReportWords::stands($before);
        }

        return $out;
    }
}
