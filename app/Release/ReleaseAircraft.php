<?php

declare(strict_types=1);

namespace App\Release;

use App\Crew\Person;
use App\Fleet\DueBook;
use App\Fleet\ItemStatus;
use App\Library\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Visit;
use Illuminate\Support\Collection;
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
            $this->records->write($by, 'aircraft.released', "visit:{$visit->id}", [
                'certificate' => $certificate->number, 'aircraft' => $visit->aircraft->mark, 'stamp' => $by->stamp, 'items' => array_column($moved, 'code'),
            ]);

            return $certificate;
        });
    }

    /** @return list<array{code: string, title: string, next: string}> */
    private function moveOn(Visit $visit): array
    {
        $done = $visit->cards->pluck('item_id')->filter()->unique();
        $before = $this->due($visit->aircraft_id)->whereIn('item.id', $done->all());
        foreach ($before as ['item' => $item, 'due' => $due]) {
            $status = ItemStatus::firstWhere(['aircraft_id' => $visit->aircraft_id, 'item_id' => $item->id]);
            ItemStatus::updateOrCreate(['aircraft_id' => $visit->aircraft_id, 'item_id' => $item->id], [
                'date' => (string) $this->clock->today(),
                'counters' => $visit->aircraft->counters,
                'planned' => self::planned($due, $status),
            ]);
        }

        return $this->due($visit->aircraft_id)->whereIn('item.id', $done->all())
            ->map(static fn(array $i): array => ['code' => $i['item']->code, 'title' => $i['item']->title, 'next' => (string) $i['due']->forecast])
            ->values()->all();
    }

    /** @return Collection<int, array{item: ProgrammeItem, due: DueResult}> */
    private function due(int $aircraftId): Collection
    {
        return $this->book->items($this->book->query()->whereKey($aircraftId)->firstOrFail());
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
