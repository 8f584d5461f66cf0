<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Do\ShiftSlot;
use App\Crew\Do\ShiftSlots;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\FlyingEntry;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Show\PastEvent;
use App\Floor\Show\SystemHistory;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** How far a system's history reaches, by days and by flights, and what slots a plan makes of a shift. */
final class HistoryAndSlotsTest extends WorldCase
{
    /**
     * An aircraft with nothing on its hydraulics, flown as told.
     *
     * @param array<string, int> $flights by date
     */
    private function aircraft(array $flights): Aircraft
    {
        $craft = Aircraft::with('type')->where('mark', 'QC-TAA')->firstOrFail();
        FlyingEntry::where('aircraft_id', $craft->id)->delete();
        DB::table('item_doings')->where('aircraft_id', $craft->id)->delete();
        foreach ($flights as $date => $n) {
            FlyingEntry::create([
                'aircraft_id' => $craft->id, 'date' => $date, 'flown' => ['fh' => $n * 1.5, 'ldg' => $n],
                'current' => true,
            ]);
        }

        return $craft;
    }

    private function find(Aircraft $craft, string $at, string $chapter = '29-10'): Finding
    {
        return Finding::create([
            'aircraft_id' => $craft->id, 'card_id' => 1, 'raised_by' => 2, 'number' => "T{$at}{$chapter}",
            'chapter' => $chapter, 'place' => 'pump', 'extent' => 'wet', 'state' => 'fixed',
            'raised_at' => "{$at}T12:00:00Z",
        ]);
    }

    /**
     * @return iterable<string, array{array<string, int>, list<string>, list<array{string, int}>}> flights by date, days
     *   of findings, what is told with the flights since
     */
    public static function histories(): iterable
    {
        yield 'ninety days, however much it flew'
            => [['2026-05-04' => 40], ['2026-02-04', '2026-02-03'], [['2026-02-04', 40]]];
        yield 'thirty flights, however long ago' => [
            ['2026-05-04' => 10, '2025-11-10' => 20], ['2025-11-09', '2025-06-01'],
            [['2025-11-09', 30], ['2025-06-01', 30]],
        ];
        yield 'a flight more, and it is no longer told' => [
            ['2026-05-04' => 11, '2025-11-10' => 20], ['2025-11-10', '2025-11-09'], [['2025-11-10', 11]],
        ];
        yield 'flights of the day itself do not count' => [
            ['2026-05-05' => 3, '2026-05-04' => 2], ['2026-05-05', '2026-05-04'],
            [['2026-05-05', 0], ['2026-05-04', 3]],
        ];
        yield 'an aircraft that does not fly: two years at most'
            => [[], ['2024-05-06', '2024-05-04'], [['2024-05-06', 0]]];
    }

    /**
     * @param array<string, int> $flights
     * @param list<string> $found
     * @param list<array{string, int}> $told
     */
    #[DataProvider('histories')]
    public function test_what_is_told(array $flights, array $found, array $told): void
    {
        $craft = $this->aircraft($flights);
        array_map(fn(string $at): Finding => $this->find($craft, $at), $found);
        $events = app(SystemHistory::class)->of($craft, '29-33')->filter(
            static fn(PastEvent $e): bool => $e->kind === 'finding',
        );
        self::assertSame(
            $told,
            array_values($events->map(static fn(PastEvent $e): array => [(string) $e->on, $e->flown])->all()),
        );
    }

    public function test_only_the_system_itself_is_told_and_the_finding_asked_about_is_left_out(): void
    {
        $craft = $this->aircraft(['2026-05-04' => 2]);
        $asked = $this->find($craft, '2026-05-05');
        $this->find($craft, '2026-05-04', '32-10');
        $this->find($craft, '2026-05-03', '29-40');
        $history = app(SystemHistory::class);
        $kinds = static fn(string $chapter, ?int $but): array
            => array_values($history->of($craft, $chapter, $but)->where('kind', 'finding')->map(
                static fn(PastEvent $e): string => (string) $e->on,
            )->all());
        self::assertSame(['2026-05-05', '2026-05-03'], $kinds('29', null));
        self::assertSame(['2026-05-03'], $kinds('29-10', $asked->id));
        self::assertSame(['2026-05-04'], $kinds('32', $asked->id));
        $other = Aircraft::where('mark', 'QC-TAB')->firstOrFail();
        self::assertNotContains('2026-05-03', array_map(
            static fn(PastEvent $e): string
                => (string) $e->on,
            $history->of($other, '29')->where('kind', 'finding')->all(),
        ));
    }

    /**
     * @return iterable<string, array{string, string, bool, list<array{string, float}>}> planned from, until (UTC),
     *   inspected; roles and hours on the late shift, 12:00 to 20:00 UTC
     */
    public static function plans(): iterable
    {
        yield 'within the shift' => [
            '2026-05-05T13:00:00Z', '2026-05-05T15:30:00Z', true, [['perform', 2.5], ['duplicate', 0.5]],
        ];
        yield 'no inspection is due' => ['2026-05-05T13:00:00Z', '2026-05-05T15:30:00Z', false, [['perform', 2.5]]];
        yield 'begun on the shift before'
            => ['2026-05-05T10:00:00Z', '2026-05-05T13:00:00Z', true, [['perform', 1.0], ['duplicate', 0.5]]];
        yield 'ends on the next one, and is inspected there'
            => ['2026-05-05T18:00:00Z', '2026-05-06T06:00:00Z', true, [['perform', 2.0]]];
        yield 'longer than the shift' => ['2026-05-05T06:00:00Z', '2026-05-06T06:00:00Z', true, [['perform', 8.0]]];
        yield 'ends as the shift begins' => ['2026-05-05T09:00:00Z', '2026-05-05T12:00:00Z', true, []];
        yield 'begins as it ends' => ['2026-05-05T20:00:00Z', '2026-05-05T21:00:00Z', true, []];
        yield 'ends with it' => [
            '2026-05-05T19:00:00Z', '2026-05-05T20:00:00Z', true, [['perform', 1.0], ['duplicate', 0.5]],
        ];
    }

    /** @param list<array{string, float}> $slots */
    #[DataProvider('plans')]
    public function test_a_card_asks_a_shift_for_what_falls_into_it(
        string $from,
        string $until,
        bool $inspected,
        array $slots,
    ): void {
        $card = Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
        $card->update(
            [
                'planned_start' => $from, 'planned_end' => $until, 'independent_inspection' => $inspected,
                'needs' => ['airframe' => 1],
            ],
        );
        self::assertSame($slots, $this->slots($card->id));
    }

    public function test_a_card_that_is_signed_asks_only_for_its_inspection_and_a_closed_one_for_nothing(): void
    {
        $card = Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
        $card->update([
            'planned_start' => '2026-05-05T13:00:00Z', 'planned_end' => '2026-05-05T15:00:00Z', 'state' => Card::SIGNED,
        ]);
        self::assertSame([['duplicate', 0.5]], $this->slots($card->id));
        $card->update(['state' => Card::CLOSED]);
        self::assertSame([], $this->slots($card->id));
        $card->update(
            ['state' => Card::OPEN, 'needs' => ['airframe' => 2, 'engine' => 1], 'independent_inspection' => false],
        );
        self::assertSame([['perform', 2.0], ['perform', 2.0], ['perform', 2.0]], $this->slots($card->id));
        Visit::whereKey($card->visit_id)->update(['state' => Visit::RELEASED]);
        self::assertSame([], $this->slots($card->id));
    }

    public function test_a_visit_that_ends_in_a_shift_asks_for_its_certificate_once(): void
    {
        $gear = Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
        $certify = fn(): array => array_values(array_filter(
            array_map(static fn(ShiftSlot $s): string => $s->slot->id, $this->all()),
            static fn(string $id): bool => $id === "v{$gear->visit_id}:certify",
        ));
        Card::where('visit_id', $gear->visit_id)->update(
            ['planned_start' => '2026-05-05T13:00:00Z', 'planned_end' => '2026-05-05T15:00:00Z'],
        );
        self::assertCount(1, $certify());
        $gear->update(['planned_end' => '2026-05-06T15:00:00Z']);
        self::assertCount(0, $certify());
    }

    /** @return list<ShiftSlot> of the demo's late shift */
    private function all(): array
    {
        $slots = app(ShiftSlots::class);
        [$from, $until] = $slots->hours(Day::parse('2026-05-05'), '14:00', '22:00');

        return $slots->of('Skarnholm', Day::parse('2026-05-05'), $from, $until);
    }

    /** @return list<array{string, float}> roles and hours that a card asks for */
    private function slots(int $card): array
    {
        return array_values(array_map(
            static fn(ShiftSlot $s): array => [$s->slot->role->value, $s->slot->hours],
            array_filter($this->all(), static fn(ShiftSlot $s): bool => $s->card?->id === $card),
        ));
    }
}
