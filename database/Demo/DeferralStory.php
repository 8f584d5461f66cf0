<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Model\Person;
use App\Deferrals\Do\BeginDeferral;
use App\Deferrals\Do\MakeSafe;
use App\Deferrals\Do\NewReport;
use App\Deferrals\Do\Reports;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralNeed;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\Report;
use App\Fleet\Model\Aircraft;
use App\Floor\CardClosed;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Instant;

/**
 * What the demo world carries: each with its make-safe card worked, its devices in the register, and what it waits for.
 */
final readonly class DeferralStory
{
    public function __construct(
        private Clock $clock,
        private MakeSafe $safe,
        private BeginDeferral $begin,
        private Reports $reports,
    ) {}

    /**
     * @param Visit $visit of the past, released, in which it was found
     * @param array<string, float> $counters on the day it was found
     * @param array<string, mixed> $d as in story.json
     */
    public function carried(
        Visit $visit,
        Person $controller,
        Person $by,
        ?Person $inspector,
        int $n,
        array $counters,
        array $d,
    ): Finding {
        $at = Instant::parse($d['at']);
        $listed = ListedItem::inForce($visit->aircraft->type_id)->where('code', $d['listed'])->firstOrFail();
        $finding = Finding::create([
            'aircraft_id' => $visit->aircraft_id, 'card_id' => $visit->cards()->firstOrFail()->id,
            'raised_by' => $by->id,
            'number' => sprintf('F%04d', $n), 'chapter' => $listed->chapter, 'place' => $d['place'],
            'extent' => $d['extent'], 'state' => 'deferred', 'raised_at' => (string) $at,
            'fix_hours' => $d['fix_hours'] ?? null,
        ]);
        $safe = $listed->terms()->safe !== null;
        $deferral = Deferral::create([
            'finding_id' => $finding->id, 'aircraft_id' => $visit->aircraft_id, 'listed_item_id' => $listed->id,
            'deferred_by' => $controller->id, 'category' => $listed->category, 'discovered_at' => (string) $at,
            'timezone' => $this->clock->zone()->getName(), 'limits' => $listed->limits, 'at_discovery' => $counters,
            'counted_to' => substr($d['at'], 0, 10), 'placard' => $listed->placard, 'position' => $d['position']
                ?? null,
            'decided_at' => (string) $at, 'procedure_done' => ! $safe, 'begun_at' => $safe ? null : (string) $at,
            'placard_at' => $safe ? null : (string) $at, 'state' => Deferral::OPEN, 'extensions' => [],
        ]);
        $deferral->setRelation('listedItem', $listed)->setRelation('finding', $finding);
        if ($safe) {
            $this->clock->still($at, fn() => $this->worked($deferral, $visit, $finding, $by, $inspector));
        }
        foreach ($d['needs'] ?? [] as $need) {
            $this->need($deferral, $controller, ...$need);
        }

        return $finding;
    }

    /**
     * What crews reported, each as it was entered, and as the finding that it led to.
     *
     * @param list<array<string, string>> $rows
     */
    public function reported(Person $controller, array $rows): void
    {
        foreach ($rows as $row) {
            $at = Instant::parse($row['at']);
            $finding = $row['finding'] === '' ? null : Finding::where('number', $row['finding'])->firstOrFail();
            $this->clock->still($at, function () use ($controller, $row, $at, $finding): void {
                [$report] = $this->reports->enter($controller, [new NewReport(
                    Aircraft::with('type')->where('mark', $row['mark'])->firstOrFail(),
                    $row['flight'],
                    $at,
                    $row['crew'],
                    $row['text'],
                    $row['chapter'] === '' ? null : $row['chapter'],
                    'programme',
                )]);
                $report->update($finding === null ? [] : [
                    'state' => Report::FINDING, 'finding_id' => $finding->id, 'ended_by' => $controller->id,
                    'ended_at' => (string) $finding->raised_at,
                ]);
            });
        }
    }

    private function worked(Deferral $deferral, Visit $visit, Finding $finding, Person $by, ?Person $inspector): void
    {
        $at = (string) $this->clock->now();
        $visit->update(['state' => Visit::IN_WORK]);
        $finding->setRelation('aircraft', $visit->aircraft);
        $finding->card->setRelation('visit', $visit);
        $card = $this->safe->make($deferral, $finding)->load('steps');
        foreach ($card->steps as $step) {
            $who = $step->kind === 'inspection' ? $inspector ?? $by : $by;
            $step->update([
                'state' => Step::DONE, 'done_by' => $who->id, 'done_at' => $at, 'result' => self::result($step),
            ]);
            if ($step->kind === 'safing_fit') {
                self::fit($card, $step, $by, $at);
            }
            if ($step->kind === 'safing_remove') {
                SafingDevice::where('card_id', $card->id)->where('fitted_step_id', Step::where([
                    'card_id' => $card->id, 'no' => $step->spec['of'],
                ])->value('id'))->update(['removed_by' => $by->id, 'removed_at' => $at]);
            }
        }
        $card->update([
            'state' => Card::CLOSED, 'signed_by' => $by->id, 'signed_at' => $at, 'closed_at' => $at, 'begun_at' => $at,
            'spent' => $card->hours, 'inspected_by' => $card->independent_inspection ? $inspector?->id : null,
            'inspected_at' => $card->independent_inspection ? $at : null,
        ]);
        $card->addHand($by->id, $at);
        $this->begin->handle(new CardClosed($by, $card));
        $visit->update(['state' => Visit::RELEASED]);
    }

    /** @return array<string, mixed> */
    private static function result(Step $step): array
    {
        return match ($step->kind) {
            'count' => ['counted' => (float) ($step->spec['min'] ?? 1), 'verdict' => 'pass'],
            'answer' => ['choice' => $step->spec['choices'][0]['id'], 'verdict' => 'pass'],
            'inspection' => ['covers' => $step->spec['covers']],
            default => [],
        };
    }

    private static function fit(Card $card, Step $step, Person $by, string $at): void
    {
        SafingDevice::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'fitted_step_id' => $step->id,
            'fitted_by' => $by->id, 'kind' => $step->spec['device'], 'place' => $step->spec['place'],
            'flag' => $step->spec['flag'], 'fitted_at' => $at, 'against' => $step->spec['against'] ?? [],
            'open_line' => $step->spec['open_line'] ?? false, 'storage' => $step->spec['storage'] ?? null,
        ]);
    }

    private function need(
        Deferral $deferral,
        Person $by,
        string $kind,
        string $what,
        ?int $many,
        ?string $expected = null,
    ): void {
        $part = $kind === 'part' ? Part::where('number', $what)->firstOrFail() : null;
        DeferralNeed::create([
            'deferral_id' => $deferral->id, 'kind' => $kind, 'what' => $part->title ?? $what, 'part_id' => $part?->id,
            'quantity' => $many ?? 1, 'expected' => $expected, 'person_id' => $by->id,
            'at' => (string) $deferral->discovered_at,
        ]);
    }
}
