<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Report;
use App\Deferrals\Show\NoFault;
use App\Deferrals\Show\ReportJoin;
use App\Fleet\Model\Aircraft;
use App\Floor\Do\LineChecks;
use App\Floor\Do\NewFinding;
use App\Floor\Do\RaiseFinding;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Severity;
use App\Library\Model\CardTemplate;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\MakeCard;
use App\Visits\Do\StandNow;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Support\Facades\DB;

/** Crew reports: entered, sorted, made a finding, tested, or ended as no fault; none is ended silently. */
final readonly class Reports
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private ReportJoin $join,
        private NoFault $noFault,
        private LineChecks $line,
        private RaiseFinding $raise,
        private MakeCard $make,
        private StandNow $stand,
        private VisitFrame $frame,
    ) {}

    /**
     * @param list<NewReport> $new all, or none
     *
     * @return list<Report>
     *
     * @throws Refused for one that is entered already, or is still to come
     */
    public function enter(Person $by, array $new): array
    {
        return DB::transaction(fn(): array => array_map(fn(NewReport $r): Report => $this->one($by, $r), $new));
    }

    private function one(Person $by, NewReport $new): Report
    {
        if ($this->clock->now()->isBefore($new->happened)) {
            throw Refused::because('The time it happened is still to come. Nothing was saved.');
        }
        if (ReportsFile::entered([$new]) !== []) {
            throw Refused::because('The same report is entered already. Nothing was saved.');
        }
        $text = $new->text;
        $chapter = $new->chapter ?? $this->join->chapters($new->aircraft->type_id, $text)[0]['chapter'] ?? null;
        $number = sprintf('R%04d', (int) Report::max('id') + 1);
        $report = Report::create([
            'number' => $number, 'aircraft_id' => $new->aircraft->id, 'flight' => $new->flight,
            'happened_at' => (string) $new->happened, 'crew' => $new->crew, 'text' => $text, 'chapter' => $chapter,
            'chapter_said' => $new->chapter !== null, 'source' => $new->source, 'state' => Report::OPEN,
            'person_id' => $by->id, 'at' => (string) $this->clock->now(),
        ]);
        $report->setRelation('aircraft', $new->aircraft);
        $report->update(['repeat_of' => $this->join->repeatOf($report)?->id]);
        $this->records->write($by, 'report.entered', "report:{$report->id}", [
            'number' => $number, 'aircraft' => $new->aircraft->mark, 'flight' => $new->flight, 'crew' => $new->crew,
            'text' => $text, 'chapter' => $chapter, 'source' => $new->source, 'repeat_of' => $report->repeat_of,
        ]);

        return $report;
    }

    /** Says of which chapter it is. @throws Refused once it is ended */
    public function sort(Person $by, int $id, string $chapter): Report
    {
        return $this->change($id, function (Report $report) use ($by, $chapter): void {
            $was = $report->chapter;
            $report->update(['chapter' => $chapter, 'chapter_said' => true]);
            $report->update(['repeat_of' => $this->join->repeatOf($report)?->id]);
            $this->records->write($by, 'report.sorted', "report:{$report->id}", [
                'number' => $report->number, 'chapter' => $chapter, 'was' => $was,
            ]);
        });
    }

    /**
     * It is a finding: raised at the check after a report where the aircraft is on the line, else at a card of the
     * visit in which it stands.
     *
     * @throws Refused once it is ended, or while nobody has said of which chapter it is
     */
    public function finding(Person $by, int $id, string $place, Severity $severity): Report
    {
        return $this->change($id, function (Report $report) use ($by, $place, $severity): void {
            $chapter = $report->chapter
                ?? throw Refused::because('Say first of which chapter it is. Nothing was raised.');
            $new = new NewFinding($place, "{$report->number}: {$report->text}", $severity, $chapter);
            $visit = Visit::where(['aircraft_id' => $report->aircraft_id, 'state' => Visit::IN_WORK])->first();
            $card = $visit === null ? $this->line->after($by, $report->aircraft, $new) : null;
            $finding = $card === null
                ? $this->raise->raise($by, $this->cardOf($report, $visit), $new)
                : Finding::where('card_id', $card->id)->orderByDesc('id')->firstOrFail();
            $this->raised($by, $report, $finding);
        });
    }

    /** One that was taken on the line, where it became a finding at once. */
    public function taken(Person $by, Aircraft $aircraft, Finding $finding): Report
    {
        $report = $this->one($by, new NewReport(
            $aircraft,
            '',
            $finding->raised_at,
            'told at the aircraft',
            $finding->extent,
            $finding->chapter,
            'line',
        ));
        $this->raised($by, $report, $finding);

        return $report;
    }

    private function raised(Person $by, Report $report, Finding $finding): void
    {
        $before = $report->before?->finding_id;
        if ($before !== null && $finding->repeat_of === null) {
            $finding->update(['repeat_of' => $before]);
        }
        $this->end($by, $report, ['state' => Report::FINDING, 'finding_id' => $finding->id]);
    }

    private function cardOf(Report $report, ?Visit $visit): Card
    {
        $visit ??= $this->stand->open($report->aircraft, "Look into {$report->number}");
        $card = Card::with('aircraft.type', 'visit', 'steps')->where('visit_id', $visit->id)->orderBy('id')->first();
        if ($card !== null) {
            return $card;
        }
        $look = CardTemplate::where(['type_id' => $report->aircraft->type_id, 'makes' => 'induct'])->first()
            ?? throw Refused::because('Library has no card to begin a visit of this type with. Nothing was raised.');
        $visit->setRelation('aircraft', $report->aircraft);

        return ($this->make)($visit, $look, 1, ['makes' => 'induct'])->load('steps', 'visit', 'aircraft.type');
    }

    /**
     * A test of its chapter is put on the visit in which the aircraft stands, or on one that begins at once.
     *
     * @throws Refused for a card of another type, or one that stands open there
     */
    public function test(Person $by, int $id, string $code): Report
    {
        return $this->change($id, function (Report $report) use ($by, $code): void {
            $template = CardTemplate::with('manual')
                ->where(['type_id' => $report->aircraft->type_id, 'code' => $code, 'makes' => null])->first()
                ?? throw Refused::because("There is no card \"{$code}\" for this type. Nothing was made.");
            $visit = ($this->stand)($report->aircraft, "Look into {$report->number}");
            if ($visit->cards()->where('template_id', $template->id)->whereNot('state', Card::CLOSED)->exists()) {
                throw Refused::because("{$code} stands open in \"{$visit->title}\" already. Work that one; nothing was "
                    .'made.');
            }
            FloorCount::up($report->aircraft_id);
            $card = ($this->make)($visit, $template, $visit->cardsMade() + 1, [
                'title' => "{$template->title}, {$report->number}",
            ]);
            $this->frame->complete($visit->setRelation('aircraft', $report->aircraft));
            $this->records->write($by, 'report.tested', "report:{$report->id}", [
                'number' => $report->number, 'card' => $card->number, 'template' => $code,
            ]);
        });
    }

    /**
     * No fault found: with the card whose test says so.
     *
     * @throws Refused once it is ended, or for a card that tests nothing of it, is not closed, or is from before
     */
    public function noFault(Person $by, int $id, int $cardId, string $said): Report
    {
        return $this->change($id, function (Report $report) use ($by, $cardId, $said): void {
            $card = $this->noFault->proofs($report)->firstWhere('id', $cardId) ?? throw Refused::because(
                'That card is no test of it: it must be of the same chapter and aircraft, closed after the report, '
                    .'with a '
                    .'reading or a test that passed. Nothing was ended.',
            );
            $this->end($by, $report, ['state' => Report::NO_FAULT, 'proof_id' => $card->id, 'answer' => $said]);
        });
    }

    /** @param array<string, mixed> $how */
    private function end(Person $by, Report $report, array $how): void
    {
        $report->update([...$how, 'ended_by' => $by->id, 'ended_at' => (string) $this->clock->now()]);
        $this->records->write($by, "report.{$report->state}", "report:{$report->id}", [
            'number' => $report->number, ...$how,
        ]);
    }

    /** @param Closure(Report): void $do */
    private function change(int $id, Closure $do): Report
    {
        return ($this->commit)(static function () use ($id, $do): Closure {
            $report = Report::with('aircraft.type', 'before')->findOrFail($id);
            if ($report->state !== Report::OPEN) {
                throw Refused::because("{$report->number} is ended already. Nothing was changed.");
            }

            return static function () use ($report, $do): Report {
                $do($report);

                return $report;
            };
        });
    }
}
