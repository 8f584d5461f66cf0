<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\ItemStatus;
use App\Library\Model\ProgrammeItem;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * What dates rest on: the week's pattern, harsh use, thresholds, the programme as it is edited; and what is kept of it
 * all.
 */
final class PlanTest extends WorldCase
{
    /** @return array<string, array<string, mixed>> an aircraft's items by code */
    private function items(string $mark): array
    {
        return array_column($this->as('ines', 'GET', "fleet/{$mark}")->assertOk()->json('items'), null, 'code');
    }

    /** @param array<string, mixed> $item */
    private function bring(string $type, array $item): void
    {
        $view = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'programme', 'name' => 'edited',
            'text' => (string) json_encode(['type' => $type, 'items' => [$item]]),
        ])->assertOk()->json();
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
    }

    public function test_a_forecast_follows_the_weekdays(): void
    {
        // 46.5 hours are left at the end of Sun 3 May. All of it flown on Wednesdays, 20 hours each: two fit, the third
        // does not.
        Aircraft::where('mark', 'QA-VFC')->firstOrFail()
            ->update(['week' => ['fh' => [0, 0, 20, 0, 0, 0, 0], 'ldg' => [0, 0, 9, 0, 0, 0, 0]]]);
        self::assertSame('2026-05-19', $this->items('QA-VFC')['61-21']['date'], 'the day before the third Wednesday');
        Visit::create([
            'aircraft_id' => Aircraft::where('mark', 'QA-VFC')->value('id'), 'title' => 'paint', 'bay' => 'line',
            'start' => '2026-05-12', 'end' => '2026-05-14', 'state' => 'planned',
        ]);
        self::assertSame('2026-05-26', $this->items('QA-VFC')['61-21']['date'], 'a Wednesday in a visit flies nothing');
        Aircraft::where('mark', 'QA-VFC')->firstOrFail()->update(['week' => null]);
        self::assertSame(
            '2026-05-10',
            $this->items('QA-VFC')['61-21']['date'],
            '46.5 hours at 6.1 are flown before the visit',
        );
    }

    public function test_harsh_use_comes_by_base_and_by_role(): void
    {
        $wash = fn(string $mark): string => $this->items($mark)['12-31']['limits'][0]['next'];
        $done = ItemStatus::where([
            'aircraft_id' => Aircraft::where('mark', 'QA-VFF')->value('id'),
            'item_id' => ProgrammeItem::where('code', '12-31')->value('id'),
        ])->firstOrFail()->date;
        self::assertSame(
            date('Y-m-d', (int) strtotime("{$done} +30 days")),
            $wash('QA-VFF'),
            '45 days, times 0.67 by the sea, whole days',
        );
        self::assertStringContainsString('× 0.67 for salt', $this->items('QA-VFF')['12-31']['rule']);
        DB::table('aircraft')->where('mark', 'QA-VFF')->update(['base' => 'Skarnholm']);
        self::assertSame(date('Y-m-d', (int) strtotime("{$done} +45 days")), $wash('QA-VFF'));
        DB::table('aircraft')->where('mark', 'QA-VFF')->update(['conditions' => '["salt"]']);
        self::assertSame(date('Y-m-d', (int) strtotime("{$done} +30 days")), $wash('QA-VFF'), 'by its own role too');
    }

    public function test_what_was_never_done_waits_for_its_threshold_and_whichever_last_waits_for_both(): void
    {
        $spar = $this->items('QC-TAD')['57-31'];
        self::assertSame(
            [null, '2019-05-20', '2031-05-20'],
            [$spar['lastDone'], $spar['limits'][0]['base'], $spar['limits'][0]['next']],
            '144 months from its entry',
        );
        $read = $this->items('QA-VFB')['31-31'];
        $dates = array_column($read['limits'], 'forecast');
        self::assertSame(max($dates), $read['date'], 'whichever comes last');
        self::assertStringContainsString('9 months and 1000 fh', $read['rule']);
        $first = $this->items('QA-VFB')['27-31'];
        self::assertSame(min(array_column($first['limits'], 'forecast')), $first['date'], 'whichever comes first');
    }

    public function test_a_new_item_is_due_at_once_and_a_withdrawn_one_no_longer(): void
    {
        $item = [
            'code' => '99-01', 'title' => 'Look at the new bracket', 'chapter' => '99', 'rule' => 'first',
            'rebase' => 'actual', 'card' => 'SKV-GVI',
            'limits' => [['unit' => 'fh', 'interval' => 500, 'threshold' => 20000]],
        ];
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'programme', 'name' => 'new',
            'text' => (string) json_encode(['type' => 'SKV', 'items' => [$item]]),
        ])->json();
        self::assertContains(
            ['QA-VFC', '99-01 Look at the new bracket', 'not in force'],
            array_map(static fn(array $d): array => [$d['subject'], $d['what'], $d['before']], $look['dates']),
        );
        $this->bring('SKV', $item);
        self::assertSame('20000 flight hours', $this->items('QA-VFC')['99-01']['limits'][0]['next']);
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'programme', 'name' => 'new',
            'text' => (string) json_encode(['type' => 'SKV', 'items' => [[...$item, 'withdrawn' => true]]]),
        ])->json();
        self::assertContains(
            ['QA-VFC', '99-01 Look at the new bracket', 'no longer in force'],
            array_map(static fn(array $d): array => [$d['subject'], $d['what'], $d['after']], $look['dates']),
        );
        $this->bring('SKV', [...$item, 'withdrawn' => true]);
        self::assertArrayNotHasKey('99-01', $this->items('QA-VFC'));
        $row = array_column($this->as('mika', 'GET', 'library/programmes/SKV')->json('items'), null, 'code')['99-01'];
        self::assertTrue($row['withdrawn'], 'it stays to be seen, and can come back');
        $this->bring('SKV', $item);
        self::assertArrayHasKey('99-01', $this->items('QA-VFC'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'a counter that propellers lack' => [
            ['component' => 'propeller', 'limits' => [['unit' => 'cyc', 'interval' => 100]]], 'limits.0.unit',
            'not every propeller on the SKV has a counter "cyc"',
        ];
        yield 'a counter that aircraft lack' => [
            ['limits' => [['unit' => 'cyc', 'interval' => 100]]], 'limits.0.unit', 'not every SKV has a counter "cyc"',
        ];
        yield 'a block that includes what is not there'
            => [['includes' => ['05-90', '05-77']], 'includes.1', 'there is no other item "05-77"'];
        yield 'a block that includes itself'
            => [['includes' => ['99-02']], 'includes.0', 'there is no other item "99-02"'];
        yield 'harsh use that lengthens' => [['harsh' => ['salt' => 1.2]], 'harsh.salt', 'must be at most 1'];
        yield 'half a month' => [
            ['limits' => [['unit' => 'months', 'interval' => 1.5]]], 'limits.0.interval',
            'must be a whole number of months',
        ];
        yield 'another type\'s card in its set' => [
            ['cards' => ['SKV-FNC', 'OLN-GVI']], 'cards.1', 'there is no card template "OLN-GVI" for the SKV',
        ];
        yield 'its own card in its set' => [
            ['cards' => ['SKV-GVI']], 'cards.0', 'is the item\'s own card, which closes the others',
        ];
        yield 'what a visit makes by itself in its set' => [
            ['cards' => ['SKV-FNC', 'SKV-JUP']], 'cards.1', 'is a card that a visit makes by itself',
        ];
        yield 'a set on the line' => [
            ['line' => 'daily', 'validity' => 1, 'cards' => ['SKV-FNC']], 'cards',
            'has no meaning for a check on the line',
        ];
        yield 'another type\'s card' => [
            ['card' => 'OLN-GVI'], 'card', 'there is no card template "OLN-GVI" for the SKV',
        ];
    }

    /** @param array<string, mixed> $part */
    #[DataProvider('wrong')]
    public function test_an_item_that_cannot_be_is_named_with_its_place(
        array $part,
        string $path,
        string $message,
    ): void {
        $item = [
            'code' => '99-02', 'title' => 't', 'chapter' => '99', 'rule' => 'first', 'rebase' => 'actual',
            'card' => 'SKV-GVI', 'limits' => [['unit' => 'fh', 'interval' => 500]], ...$part,
        ];
        $answer = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'programme', 'name' => 'new',
            'text' => (string) json_encode(['type' => 'SKV', 'items' => [$item]]),
        ])->assertStatus(422);
        self::assertStringEndsWith("items.0.{$path}", $answer->json('lines.0.line'));
        self::assertStringContainsString($message, $answer->json('lines.0.message'));
    }

    public function test_a_component_of_another_make_is_not_fitted_where_it_cannot_count(): void
    {
        $engine = ComponentTenure::whereHas(
            'component',
            static fn($q) => $q->where('kind', 'engine'),
        )->whereNull('to_date')
            ->firstOrFail()->component_id;
        DB::table('aircraft')->where('mark', 'Q-401')->update(['counters' => '{"fh":3352.4}']);
        $this->as('ines', 'POST', "components/{$engine}/move", [
            'mark' => 'Q-401', 'position' => 'engine 3', 'reason' => 'to try', 'stamp' => 'C01', 'pin' => '1101',
        ])->assertStatus(422)->assertJsonPath(
            'message',
            fn(string $m): bool => str_contains(
                $m,
                'counts cyc by the aircraft\'s ldg, and Q-401 has no such counter. Nothing was moved.',
            ),
        );
        $this->as('ines', 'POST', "components/{$engine}/move", [
            'mark' => 'Q-999', 'position' => 'engine 3', 'reason' => 'to try', 'stamp' => 'C01', 'pin' => '1101',
        ])->assertNotFound();
        $this->as('ines', 'POST', "components/{$engine}/move", ['mark' => 'Q-402', 'position' => 'engine 3'])
            ->assertStatus(422);
    }

    public function test_history_adds_up_to_the_log(): void
    {
        $history = $this->as('mika', 'GET', 'fleet/Q-402/history')->assertOk()->json();
        $id = Aircraft::where('mark', 'Q-402')->value('id');
        foreach (['2025-07', '2026-01', '2026-05'] as $month) {
            $of = array_values(
                array_filter($history['months'], static fn(array $m): bool => $m['month'] === $month),
            )[0];
            $sum = FlyingEntry::where('aircraft_id', $id)->where('date', 'like', "{$month}%")->get()
                ->sum(static fn(FlyingEntry $f): float => $f->flown['fh']);
            self::assertEqualsWithDelta($sum, $of['flown']['fh'], 1e-6, $month);
        }
        self::assertCount(18, $history['months']);
        $days = array_column($history['flying'], 'date');
        self::assertSame(['2026-05-04', true], [$days[0], $days === array_values(array_unique($days))]);
        self::assertGreaterThan(50, count($history['done']));
        $engine = $this->as('mika', 'GET', 'fleet/QA-VFD/history')->json('fitted');
        self::assertContains(
            'time for hot section inspection',
            array_column($engine, 'reason'),
            'what came off, and why',
        );
        $mean = array_column($this->as('mika', 'GET', 'fleet/Q-402')->json('counters'), 'flown', 'name')['fh'];
        $last = FlyingEntry::where('aircraft_id', $id)->where('date', '>', '2026-02-03')->get()
            ->sum(static fn(FlyingEntry $f): float => $f->flown['fh']);
        self::assertEqualsWithDelta($last / 90, $mean, 0.005, 'of the last ninety days that are counted');
    }

    public function test_everything_that_was_entered_is_recorded_once(): void
    {
        $body = ['date' => '2026-05-04', 'flown' => ['fh' => '5.5', 'ldg' => '4']];
        $first = $this->as('ines', 'POST', 'fleet/QA-VFC/flying', $body, 'the same key')->assertOk()->getContent();
        self::assertSame(
            $first,
            $this->as('ines', 'POST', 'fleet/QA-VFC/flying', $body, 'the same key')->assertOk()->getContent(),
            'sent twice, worked once',
        );
        $this->as(
            'ines',
            'POST',
            'fleet/QA-VFC/flying',
            ['date' => '2026-05-05', 'flown' => ['fh' => '1', 'ldg' => '1']],
            'the same key',
        )->assertStatus(422);
        $entry = FlyingEntry::latest('id')->firstOrFail();
        $this->as('ines', 'POST', "flying/{$entry->id}/correct", [
            'flown' => ['fh' => '5', 'ldg' => '4'], 'reason' => 'half an hour too many',
        ])->assertOk();
        $bottle = ComponentTenure::where('position', 'crew oxygen')->whereNull('to_date')->firstOrFail()->component_id;
        $this->as('oda', 'POST', "components/{$bottle}/readings", [
            'date' => '2026-05-05', 'pressure' => 101, 'temp_c' => 15,
        ])->assertOk();
        $this->as('ines', 'POST', "components/{$bottle}/move", [
            'mark' => null, 'position' => 'shelf', 'reason' => 'test due', 'stamp' => 'C01', 'pin' => '1101',
        ])->assertOk();
        $records = DB::table('records')->orderBy('id')->where('who', 'not like', 'system%')
            ->where('what', 'not like', 'visit%')->get();
        self::assertSame(
            ['flying.entered', 'flying.corrected', 'gauge.read', 'component.moved'],
            $records->pluck('what')->slice(-4)->values()->all(),
        );
        self::assertStringContainsString(
            'half an hour too many',
            (string) $records->firstWhere('what', 'flying.corrected')?->data,
        );
        $this->artisan('jorvel:verify')->assertExitCode(0);
    }

    public function test_a_visit_for_a_deeper_block_takes_away_what_that_includes(): void
    {
        $craft = Aircraft::where('mark', 'QC-TAB')->firstOrFail();
        DB::table('deferrals')->where('aircraft_id', $craft->id)->update(['state' => 'closed']);
        $items = $this->items('QC-TAB');
        ItemStatus::where([
            'aircraft_id' => $craft->id,
            'item_id' => ProgrammeItem::where(['type_id' => $craft->type_id, 'code' => '05-06'])->value('id'),
        ])->update(['date' => '2025-11-12', 'planned' => null]);
        $row = fn(): array => array_column($this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark')['QC-TAB'];
        self::assertSame(['stop', '6-month check', '2026-05-12'], [
            $row()['state'], $row()['stop']['title'], $row()['stop']['date'],
        ]);
        $this->as('ines', 'POST', 'visits', [
            'mark' => 'QC-TAB', 'title' => 'Deep', 'bay' => 'line', 'start' => '2026-05-10', 'end' => '2026-05-14',
            'items' => [$items['05-24']['key']],
        ])->assertCreated();
        self::assertSame('clear', $row()['state'], 'the 24-month check includes the 6-month check');
    }

    public function test_a_calendar_link_shows_its_address_once(): void
    {
        $link = $this->as('ines', 'POST', 'calendar-links', ['name' => 'mine'])->json('id');
        $this->as('oda', 'POST', "calendar-links/{$link}/revoke")->assertForbidden();
        $this->as('ines', 'POST', 'calendar-links', ['name' => ''])->assertStatus(422);
        self::assertNull($this->as('ines', 'GET', 'calendar-links')->json('0.address'), 'the address is shown once');
    }
}
