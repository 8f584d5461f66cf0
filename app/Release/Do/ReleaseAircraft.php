<?php

declare(strict_types=1);

namespace App\Release\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemDoing;
use App\Fleet\Model\ItemStatus;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DueRow;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Release\Model\Certificate;
use App\Release\Show\Readiness;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\PastVisit;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\LimitDue;
use Jorvel\Core\Shared\Day;

/** Signs an aircraft back to service: the certificate is numbered, and every item worked moves on to its next date. */
final readonly class ReleaseAircraft
{
    public function __construct(private Clock $clock, private Records $records, private Readiness $readiness, private DueBook $book) {}

    /** @throws Refused while anything blocks */
    public function __invoke(Person $by, int $visitId, string $stamp, string $pin): Certificate
    {
        return DB::transaction(function () use ($by, $visitId, $stamp, $pin): Certificate {
            $visit = $this->readiness->query()->findOrFail($visitId);
            if ($visit->state === Visit::RELEASED) {
                throw Refused::because('This visit is already released.');
            }
            $blockers = $this->readiness->blockers($visit, $by);
            if ($blockers !== []) {
                throw Refused::because(count($blockers)." things still stand in the way, first: {$blockers[0]->title} {$blockers[0]->text}. Nothing was signed.");
            }
            $by->requireSignature($stamp, $pin);
            $moved = $this->moveOn($visit);
            $certificate = Certificate::create([
                'visit_id' => $visit->id, 'person_id' => $by->id, 'at' => (string) $this->clock->now(), 'moved' => $moved,
                'number' => sprintf('JV-%s-%04d', substr((string) $this->clock->today(), 0, 4), (int) Certificate::max('id') + 1),
            ]);
            $visit->update(['state' => Visit::RELEASED]);
            $this->remember($visit);
            $this->records->write($by, 'aircraft.released', "visit:{$visit->id}", [
                'certificate' => $certificate->number, 'aircraft' => $visit->aircraft->mark, 'stamp' => $by->stamp, 'items' => array_column($moved, 'code'),
            ]);

            return $certificate;
        });
    }

    /** What its inspection turned up tells what the next of the type will. */
    private function remember(Visit $visit): void
    {
        $hours = (float) $visit->cards->where('phase', 'look')->sum('hours');
        if ($hours > 0) {
            $findings = Finding::whereIn('card_id', $visit->cards->modelKeys())->get();
            PastVisit::create([
                'type_id' => $visit->aircraft->type_id, 'visit_id' => $visit->id, 'mark' => $visit->aircraft->mark, 'title' => $visit->title, 'ended' => (string) $this->clock->today(), 'hours' => $hours,
                'findings' => $findings->count(), 'fix_hours' => array_values($visit->cards->whereNotNull('finding_id')->map(static fn(Card $c): float => $c->spent ?? $c->hours)->all()),
            ]);
        }
    }

    /** @return list<array{code: string, title: string, next: string}> */
    private function moveOn(Visit $visit): array
    {
        $aircraft = $this->aircraft($visit);
        $done = $this->done($visit, $aircraft);
        foreach ($this->book->items($aircraft)->filter(static fn(DueRow $r): bool => in_array($r->key(), $done, true)) as $row) {
            $this->write($visit, $aircraft, $row);
        }

        return $this->book->items($this->aircraft($visit))->filter(static fn(DueRow $r): bool => in_array($r->key(), $done, true))
            ->map(static fn(DueRow $r): array => ['code' => $r->of->item->code, 'title' => $r->title(), 'next' => (string) $r->due->forecast])
            ->values()->all();
    }

    private function aircraft(Visit $visit): Aircraft
    {
        return $this->book->query()->whereKey($visit->aircraft_id)->firstOrFail();
    }

    /** @return list<string> keys of the due rows on the visit's cards, and of what a deeper one includes */
    private function done(Visit $visit, Aircraft $aircraft): array
    {
        $items = $aircraft->type->items->keyBy('id');
        $codes = $items->keyBy('code');
        $keys = [];
        foreach ($visit->cards->whereNotNull('item_id') as $card) {
            $keys[] = DueRow::keyOf($card->item_id, $card->component_id);
            foreach ($items->get($card->item_id)->includes ?? [] as $code) {
                $keys[] = DueRow::keyOf($codes->get($code)?->id, null);
            }
        }

        return array_values(array_unique($keys));
    }

    private function write(Visit $visit, Aircraft $aircraft, DueRow $row): void
    {
        $of = ['item_id' => $row->of->item->id, 'component_id' => $row->on?->component_id, 'aircraft_id' => $row->on === null ? $aircraft->id : null];
        $counters = $row->on === null ? $aircraft->counters : $row->on->tenure()->counters(array_map(floatval(...), $aircraft->counters));
        $status = ItemStatus::firstWhere($of);
        ItemStatus::updateOrCreate($of, ['date' => (string) $this->clock->today(), 'counters' => $counters, 'counted_to' => $aircraft->counters_as_of, 'planned' => self::planned($row->due, $status)]);
        ItemDoing::create(['item_id' => $row->of->item->id, 'aircraft_id' => $aircraft->id, 'component_id' => $row->on?->component_id, 'visit_id' => $visit->id, 'date' => (string) $this->clock->today(), 'counters' => $counters]);
    }

    /**
     * What had been planned for the work just done, for the next base: each limit's own next value.
     *
     * @return array<string, float|string|int>
     */
    private static function planned(DueResult $due, ?ItemStatus $status): array
    {
        $planned = [];
        foreach ($due->limits as $limit) {
            $planned[$limit->unit] = $limit->next instanceof Day ? (string) $limit->next : $limit->next;
            if ($limit->unit === 'months' && $limit->next instanceof Day) {
                $anchor = self::anchor($limit, $status);
                if ($anchor > $limit->next->dayOfMonth() && $limit->next->isLastOfMonth()) {
                    $planned['anchor_day'] = $anchor;
                }
            }
        }

        return $planned;
    }

    /** The day of the month that a months limit keeps, even where a short month clamped it. */
    private static function anchor(LimitDue $limit, ?ItemStatus $status): int
    {
        $base = $limit->base;
        assert($base instanceof Day);
        $kept = $status?->planned['anchor_day'] ?? null;
        $fromPlan = ($status?->planned['months'] ?? null) === (string) $base;

        return $fromPlan && $kept !== null ? (int) $kept : $base->dayOfMonth();
    }
}
