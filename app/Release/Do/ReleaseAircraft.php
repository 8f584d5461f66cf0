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
use App\Now\LoadAircraft;
use App\Release\Model\Certificate;
use App\Release\ReleaseWords;
use App\Release\Show\Readiness;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\PastVisit;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\NextBase;
use Jorvel\Core\Visits\VisitStage;

/**
 * Signs an aircraft back to service: every item worked moves on to its next date, and the certificate is numbered and
 * frozen as it is.
 */
final readonly class ReleaseAircraft
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Readiness $readiness,
        private DueBook $book,
        private FreezeCertificate $freeze,
    ) {}

    /** @throws Refused while anything blocks */
    public function __invoke(Person $by, int $visitId, string $stamp, string $pin): Certificate
    {
        $visit = $this->readiness->query()->findOrFail($visitId);
        $aircraft = $this->aircraft($visit);
        $floor = $aircraft->floor_count;
        if ($visit->state === Visit::RELEASED) {
            throw Refused::because('This visit is already released.');
        }
        $blockers = $this->readiness->blockers($visit, $by);
        if ($blockers !== []) {
            throw Refused::because(
                ReleaseWords::keeps(count($blockers))
                    .", first: {$blockers[0]->title} {$blockers[0]->text}. Nothing was signed.",
            );
        }
        $by->requireSignature($stamp, $pin);
        $visit->loadMissing('cards.signer');
        $done = $this->done($visit, $aircraft);
        $rows = $this->book->items($aircraft)->filter(static fn(DueRow $r): bool => isset($done[$r->key()]));

        return DB::transaction(fn(): Certificate => $this->commit($by, $visit, $aircraft, $floor, $rows, $done));
    }

    /**
     * @param Collection<int, DueRow> $rows as they stood, of what was done
     * @param array<string, Card> $done by key of a due row
     */
    private function commit(
        Person $by,
        Visit $visit,
        Aircraft $aircraft,
        int $floor,
        Collection $rows,
        array $done,
    ): Certificate {
        // Nothing happened at the aircraft since it was asked, and nobody else released it.
        $asked = DB::table('aircraft')->where(['id' => $aircraft->id, 'floor_count' => $floor])
            ->increment('floor_count');
        $now = $this->clock->now();
        if ($asked === 0 || Visit::whereKey($visit->id)->where('state', '!=', Visit::RELEASED)->update([
            'state' => Visit::RELEASED,
            'released_at' => (string) $now,
        ]) === 0) {
            throw Refused::because(
                'Something happened at the aircraft while you signed. Look at it again; nothing was signed.',
            );
        }
        foreach ($rows as $row) {
            $this->write($visit, $aircraft, $row, $done[$row->key()]);
        }
        $this->remember($visit);
        // The dates as they are from now on: the aircraft stands in this visit no more.
        $due = $this->book->items($this->aircraft($visit))
            ->filter(static fn(DueRow $r): bool => isset($done[$r->key()]))
            ->values();
        $number = sprintf('JV-%s-%04d', substr((string) $this->clock->today(), 0, 4), (int) Certificate::max('id') + 1);
        $said = ($this->freeze)($number, $visit, $by, $due, $now);
        $certificate = Certificate::create([
            'visit_id' => $visit->id,
            'person_id' => $by->id,
            'at' => $now,
            'moved' => $said['due'],
            'number' => $number,
            'said' => $said,
        ]);
        $this->records->write($by, 'aircraft.released', "visit:{$visit->id}", [
            'certificate' => $number, 'aircraft' => $visit->aircraft->mark, 'stamp' => $by->stamp,
            'items' => array_column($said['due'], 'code'),
            'statement' => $said['statement'], 'sha256' => hash('sha256', (string) json_encode($said)),
        ]);

        return $certificate;
    }

    /** What its inspection turned up tells what the next of the type will. */
    private function remember(Visit $visit): void
    {
        $hours = (float) $visit->cards->where('stage', VisitStage::Look)->sum('hours');
        if ($hours > 0) {
            PastVisit::create([
                'type_id' => $visit->aircraft->type_id, 'visit_id' => $visit->id, 'mark' => $visit->aircraft->mark,
                'title' => $visit->title, 'ended' => (string) $this->clock->today(), 'hours' => $hours,
                'findings' => Finding::whereIn('card_id', $visit->cards->modelKeys())->count(),
                'fix_hours' => array_values($visit->cards->whereNotNull('finding_id')->map(
                    static fn(Card $c): float => $c->spent ?? $c->hours,
                )->all()),
            ]);
        }
    }

    private function aircraft(Visit $visit): Aircraft
    {
        return $this->book->query()->whereKey($visit->aircraft_id)->firstOrFail();
    }

    /**
     * Of an item that is a set, its own card.
     *
     * @return array<string, Card> by key of a due row: those on the visit's cards, and what a deeper one includes
     */
    private function done(Visit $visit, Aircraft $aircraft): array
    {
        $takes = LoadAircraft::takes($aircraft->type);
        $done = [];
        foreach ($visit->cards->whereNotNull('item_id')->where('of_set', false) as $card) {
            foreach ($takes->items(...LoadAircraft::on($card)) as $n => $key) {
                $done[$key] = $n === 0 ? $card : $done[$key] ?? $card;
            }
        }

        return $done;
    }

    private function write(Visit $visit, Aircraft $aircraft, DueRow $row, Card $card): void
    {
        $of = [
            'item_id' => $row->of->item->id,
            'component_id' => $row->on?->component_id,
            'aircraft_id' => $row->on === null ? $aircraft->id : null,
        ];
        $counters = $row->on === null
            ? $aircraft->counters
            : $row->on->tenure()->counters(array_map(floatval(...), $aircraft->counters));
        $today = (string) $this->clock->today();
        ItemStatus::updateOrCreate(
            $of,
            [
                'date' => $today,
                'counters' => $counters,
                'counted_to' => $aircraft->counters_as_of,
                'planned' => NextBase::planned($row->due, $row->last),
            ],
        );
        ItemDoing::create([
            'item_id' => $row->of->item->id, 'aircraft_id' => $aircraft->id, 'component_id' => $row->on?->component_id,
            'visit_id' => $visit->id, 'card_id' => $card->id,
            'done_by' => $card->signer === null ? null : "{$card->signer->name} ({$card->signer->stamp})",
            'date' => $today, 'counters' => $counters,
        ]);
    }
}
