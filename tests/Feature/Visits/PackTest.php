<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Floor\Model\Card;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Due items packed into visits, free slots of bays, and a block cut into phases. */
final class PackTest extends WorldCase
{
    public function test_a_packing_is_proposed_moved_and_saved(): void
    {
        $pack = $this->as('ines', 'GET', 'pack?mark=QC-TAA&days=90')->assertOk()->json();
        self::assertTrue($pack['proposed'] && $pack['maySave']);
        $into = array_column(
            array_filter($pack['items'], static fn(array $l): bool => $l['slot'] !== null),
            'slot',
            'key',
        );
        self::assertNotEmpty($into);
        $ends = array_column($pack['slots'], 'start', 'id');
        foreach ($pack['items'] as $line) {
            self::assertTrue(
                $line['slot'] === null || $ends[$line['slot']] <= $line['latest'],
                "{$line['code']} is not overdue",
            );
        }
        $same = $this->as('ines', 'POST', 'pack', ['mark' => 'QC-TAA', 'days' => 90, 'into' => $into])->assertOk()
            ->json();
        self::assertSame([$pack['cost'], $pack['lifeDays'], $pack['slots']], [
            $same['cost'], $same['lifeDays'], $same['slots'],
        ]);
        $late = array_key_first($ends);
        foreach ($ends as $id => $end) {
            $late = $end > $ends[$late] ? $id : $late;
        }
        $first = array_key_first($into);
        $bad = array_replace($into, [$first => $late]);
        $judged = $this->as('ines', 'POST', 'pack', ['mark' => 'QC-TAA', 'days' => 90, 'into' => $bad])->assertOk()
            ->json();
        self::assertSame(['stop', false], [$judged['verdict'], $judged['maySave']]);
        self::assertStringContainsString('would be overdue', array_column($judged['items'], 'problem', 'key')[$first]);
        $counts = [(int) Visit::count(), (int) BaySlot::count()];
        $message = $this->as('ines', 'POST', 'pack/save', ['mark' => 'QC-TAA', 'days' => 90, 'into' => $bad])
            ->assertStatus(422)->json('message');
        self::assertStringEndsWith('Nothing was saved.', $message);
        self::assertEquals($counts, [Visit::count(), BaySlot::count()]);
        $ids = $this->as('ines', 'POST', 'pack/save', ['mark' => 'QC-TAA', 'days' => 90, 'into' => $into])
            ->assertCreated()->json();
        self::assertSame([$counts[0] + count($ids), $counts[1] - count($ids)], [Visit::count(), BaySlot::count()]);
        self::assertSame(count($into), Card::whereIn('visit_id', $ids)->whereNotNull('item_id')->count());
        self::assertSame(0, Card::whereIn('visit_id', $ids)->whereNull('planned_start')->count(), 'planned at once');
        $this->as('ines', 'POST', 'pack/save', ['mark' => 'QC-TAA', 'days' => 90, 'into' => $into])->assertStatus(422);
    }

    public function test_items_join_a_visit_that_is_planned_and_a_full_slot_is_refused(): void
    {
        $pack = $this->as('ines', 'GET', 'pack?mark=QA-VFB&days=60')->json();
        $line = array_values(
            array_filter($pack['items'], static fn(array $l): bool => $l['latest'] >= '2026-05-25'),
        )[0];
        $cards = Card::where('visit_id', 3)->count();
        self::assertSame(
            [3],
            $this->as('ines', 'POST', 'pack/save', [
                'mark' => 'QA-VFB', 'days' => 60, 'into' => [$line['key'] => 'visit-3'],
            ])->assertCreated()->json(),
        );
        self::assertGreaterThan($cards, Card::where('visit_id', 3)->count());
        $slot = array_values(
            array_filter($pack['slots'], static fn(array $s): bool => $s['kind'] === 'free' && $s['itemHours'] > 0),
        )[0];
        BaySlot::whereKey((int) explode('-', $slot['id'])[1])->update(['hours' => 1]);
        $into = array_column(
            array_filter($pack['items'], static fn(array $l): bool => $l['slot'] === $slot['id']),
            'slot',
            'key',
        );
        $message = $this->as('ines', 'POST', 'pack/save', ['mark' => 'QA-VFB', 'days' => 60, 'into' => $into])
            ->assertStatus(422)->json('message');
        self::assertStringContainsString('h more than it holds. Nothing was saved.', $message);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> bay, slot, what is said */
    public static function wrongSlots(): iterable
    {
        yield 'backwards' => [
            'Skarnholm bay 2', ['start' => '2026-07-20', 'end' => '2026-07-18', 'hours' => 10], 'before it begins',
        ];
        yield 'past' => [
            'Skarnholm bay 2', ['start' => '2026-05-03', 'end' => '2026-05-04', 'hours' => 10], 'which is past',
        ];
        yield 'on a visit' => [
            'Skarnholm bay 2', ['start' => '2026-05-24', 'end' => '2026-05-28', 'hours' => 10],
            'QA-VFB stands in Skarnholm bay 2 from Thu 21 May to Mon 25 May',
        ];
        yield 'on another slot' => [
            'Skarnholm bay 2', ['start' => '2026-06-05', 'end' => '2026-06-06', 'hours' => 10],
            'already has a free slot from Mon 1 Jun to Fri 5 Jun',
        ];
        yield 'no hours' => [
            'Skarnholm bay 2', ['start' => '2026-07-20', 'end' => '2026-07-22', 'hours' => 0], 'hours',
        ];
    }

    /** @param array<string, mixed> $slot */
    #[DataProvider('wrongSlots')]
    public function test_a_slot_that_cannot_be_is_refused(string $bay, array $slot, string $said): void
    {
        $id = DB::table('bays')->where('name', $bay)->value('id');
        self::assertStringContainsString(
            $said,
            $this->as('ines', 'POST', "bays/{$id}/slots", $slot)->assertStatus(422)->json('message'),
        );
    }

    public function test_slots_come_and_go_and_the_sentence_with_them(): void
    {
        $id = DB::table('bays')->where('name', 'Skarnholm bay 3')->value('id');
        $bays = $this->as('ines', 'POST', "bays/{$id}/slots", [
            'start' => '2026-05-07', 'end' => '2026-05-08', 'hours' => 40, 'note' => 'gap',
        ])->assertCreated()->json();
        self::assertSame('Skarnholm bay 3 is free next, from Thu 7 May, for 40 h of work.', $bays['sentence']);
        $slot = BaySlot::orderByDesc('id')->firstOrFail();
        $this->as('ines', 'POST', "bay-slots/{$slot->id}/remove")->assertOk()
            ->assertJsonPath('sentence', 'Skarnholm bay 2 is free next, from Mon 11 May, for 160 h of work.');
        $this->as('ines', 'POST', "bay-slots/{$slot->id}/remove")->assertNotFound();
    }

    public function test_phases_hold_the_whole_block(): void
    {
        foreach ([['SKV', 24, 1], ['SKV', 30, 4], ['OLN', 12, 3], ['TRK', 12, 2]] as [$type, $months, $phases]) {
            $cut = $this->as('mika', 'GET', "phases?type={$type}&months={$months}&phases={$phases}")->assertOk()
                ->json();
            self::assertCount($phases, $cut['cut']);
            self::assertEqualsWithDelta(
                $cut['blockHours'],
                array_sum(array_column($cut['cut'], 'hours')),
                1e-6,
                'no hour is lost',
            );
            self::assertGreaterThanOrEqual($cut['blockAccess'] - 1e-9, $cut['totalAccess']);
            self::assertEqualsWithDelta($cut['longest'], max(array_column($cut['cut'], 'total')), 1e-9);
        }
        $this->as('mika', 'GET', 'phases?phases=13')->assertStatus(422);
        $this->as('mika', 'GET', 'phases?type=none')->assertStatus(422);
        self::assertStringStartsWith(
            'Nothing of the TRK programme',
            $this->as('mika', 'GET', 'phases?type=TRK&months=240')->json('sentence'),
        );
    }
}
