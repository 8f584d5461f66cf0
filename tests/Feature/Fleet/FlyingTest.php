<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\ItemStatus;
use App\Fleet\Model\Sector;
use App\Library\Model\ProgrammeItem;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Counters: entered, brought in, corrected; and components that carry theirs from aircraft to aircraft. */
final class FlyingTest extends WorldCase
{
    /**
     * @return iterable<string, array{string, array<string, string>, string|null, string|null}> date, cells, line
     *   refused, message
     */
    public static function entries(): iterable
    {
        yield 'a day' => ['2026-05-04', ['fh' => '5,5', 'ldg' => '4'], null, null];
        yield 'its readings' => ['2026-05-04', ['fh_total' => '10506.1', 'ldg_total' => '7281'], null, null];
        yield 'backwards' => [
            '2026-05-04', ['fh_total' => '10500', 'ldg' => '1'], 'fh_total', 'runs backwards: 10500 after 10500.6',
        ];
        yield 'an impossible jump' => [
            '2026-05-04', ['fh_total' => '10600', 'ldg' => '1'], 'fh_total',
            'jumps from 10500.6 to 10600: 99.4 hours do not fit into one day',
        ];
        yield 'two days hold no more'
            => ['2026-05-05', ['fh_total' => '10560.6', 'ldg' => '9'], 'fh_total', 'do not fit into 2 days'];
        yield 'half a landing' => [
            '2026-05-04', ['fh' => '1', 'ldg' => '1.5'], 'ldg', 'is not a whole number of landings',
        ];
        yield 'another counter' => [
            '2026-05-04', ['fh' => '1', 'ldg' => '1', 'cyc' => '1'], 'cyc', 'QA-VFC has no such counter',
        ];
        yield 'twice' => [
            '2026-05-04', ['fh' => '1', 'ldg' => '1', 'fh_total' => '10501.6'], 'fh_total', 'is given twice',
        ];
        yield 'words' => ['2026-05-04', ['fh' => 'five', 'ldg' => '1'], 'fh', '"five" is not a number'];
        yield 'tomorrow' => ['2026-05-06', ['fh' => '1', 'ldg' => '1'], 'date', 'is still to come'];
        yield 'before its log' => [
            '2012-05-03', ['fh' => '1', 'ldg' => '1'], 'date', 'counted to the end of 2026-05-03 already',
        ];
        yield 'more than a day, with what it has'
            => ['2026-05-03', ['fh' => '23', 'ldg' => '1'], 'fh', 'do not fit into one day'];
    }

    /** @param array<string, string> $cells */
    #[DataProvider('entries')]
    public function test_a_day_entered_by_hand(string $date, array $cells, ?string $line, ?string $message): void
    {
        $answer = $this->as('ines', 'POST', 'fleet/QA-VFC/flying', ['date' => $date, 'flown' => $cells]);
        $now = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        if ($line === null) {
            $answer->assertOk()->assertJsonPath('countersAsOf', $date);
            self::assertGreaterThan(10500.6, $now->counters['fh']);
            self::assertSame('hand', FlyingEntry::latest('id')->firstOrFail()->source);
        } else {
            $answer->assertStatus(422)->assertJsonPath('lines.0.line', $line);
            self::assertStringContainsString((string) $message, $answer->json('lines.0.message'));
            self::assertEquals(['fh' => 10500.6, 'ldg' => 7277], $now->counters);
        }
    }

    /**
     * @return iterable<string, array{string, string, array<string, string>, list<string>}> aircraft, date, cells, what
     *   is asked
     */
    public static function asked(): iterable
    {
        yield 'a day passed over' => [
            'QA-VFC', '2026-05-05', ['fh' => '3', 'ldg' => '2'],
            ['1 day between would be passed over', 'Tue 5 May is not over yet'],
        ];
        yield 'far more than planned' => [
            'QA-VFC', '2026-05-04', ['fh' => '15.5', 'ldg' => '4'],
            ['15.5 flight hours, 4 landings on Mon 4 May, where 7 flight hours'],
        ];
        yield 'a further page' => [
            'QA-VFC', '2026-05-03', ['fh' => '0.5', 'ldg' => '1'], ['on Sun 3 May already; this adds to it'],
        ];
        yield 'in its visit, with pins in' => [
            'QA-VFA', '2026-05-05', ['fh' => '2', 'ldg' => '1'],
            ['Tue 5 May is not over yet', 'QA-VFA stands in a visit from', 'safing devices are on it since'],
        ];
    }

    /**
     * @param array<string, string> $cells
     * @param list<string> $questions
     */
    #[DataProvider('asked')]
    public function test_what_may_not_be_meant_is_asked_and_counted_only_when_it_is(
        string $mark,
        string $date,
        array $cells,
        array $questions,
    ): void {
        $before = $this->state($mark);
        $fh = Aircraft::where('mark', $mark)->firstOrFail()->counters['fh'];
        $body = ['date' => $date, 'flown' => $cells];
        $asked = $this->as('ines', 'POST', "fleet/{$mark}/flying", $body)->assertStatus(422)->json('asked');
        self::assertCount(count($questions), $asked, implode("\n", $asked));
        foreach ($questions as $i => $said) {
            self::assertStringContainsString($said, $asked[$i]);
        }
        self::assertSame($before, $this->state($mark));
        $this->as('ines', 'POST', "fleet/{$mark}/flying", $body + ['sure' => true])->assertOk();
        self::assertEqualsWithDelta(
            $fh + (float) $cells['fh'],
            Aircraft::where('mark', $mark)->firstOrFail()->counters['fh'],
            1e-6,
        );
        self::assertSame(
            $asked,
            json_decode(
                (string) DB::table('records')->where('what', 'flying.entered')->orderByDesc('id')->value('data'),
                true,
            )['asked'],
        );
    }

    public function test_a_sheet_asks_by_line_and_takes_several_pages_of_a_day(): void
    {
        $look = fn(string $lines) => $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'flying', 'name' => 'f.csv', 'text' => "mark,date,fh,ldg\n{$lines}",
        ]);
        $view = $look("QA-VFC,2026-05-04,2.5,2\nQA-VFC,2026-05-04,1.5,1\n")->assertOk()->json();
        self::assertSame(
            [[
                'line' => 'line 3',
                'message' => 'QA-VFC has 2.5 flight hours, 2 landings on Mon 4 May already; this adds to it: 4 '
                    .'flight hours, 3 landings in all.',
            ]],
            $view['asked'],
        );
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertStatus(422)
            ->assertJsonCount(1, 'asked');
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply", ['sure' => true])->assertOk();
        self::assertEqualsWithDelta(10504.6, Aircraft::where('mark', 'QA-VFC')->firstOrFail()->counters['fh'], 1e-6);
        $look("QA-VFC,2026-05-05,20,2\nQA-VFC,2026-05-05,5,1\n")->assertStatus(422)
            ->assertJsonPath('lines.0.line', 'line 3, fh');
        $look("QA-VFC,2026-05-04,2,2\n")->assertStatus(422)->assertJsonPath('lines.0.line', 'line 2, date');
    }

    /** Everything that flying moves, for an aircraft and what is fitted to it. */
    private function state(string $mark): string
    {
        $craft = Aircraft::where('mark', $mark)->firstOrFail();
        $components = ComponentTenure::where('aircraft_id', $craft->id)->pluck('component_id')->all();
        $view = $this->as('ines', 'GET', "fleet/{$mark}")->json();

        return (string) json_encode([
            $craft->counters,
            ItemStatus::where('aircraft_id', $craft->id)->orWhereIn('component_id', $components)->orderBy('id')
                ->pluck('counters'),
            ComponentTenure::whereIn('component_id', $components)->orderBy('id')
                ->get(['own', 'aircraft', 'own_end', 'aircraft_end']),
            Component::whereIn('id', $components)->orderBy('id')->pluck('counters'),
            Deferral::where('aircraft_id', $craft->id)->orderBy('id')->pluck('at_discovery'),
            array_column($view['items'], 'date', 'key'), array_column($view['components'], 'counters'), $view['reach'],
        ], JSON_PRETTY_PRINT);
    }

    /** Wrong and put right is the same as right from the start, for any day of the log. */
    public function test_a_correction_carries_through_everything_counted_since(): void
    {
        mt_srand(11);
        foreach (['QA-VFB', 'QA-VFD', 'QC-TAB', 'Q-405'] as $mark) {
            $craft = Aircraft::where('mark', $mark)->firstOrFail();
            $before = $this->state($mark);
            foreach (FlyingEntry::where(
                'aircraft_id',
                $craft->id,
            )->inRandomOrder((string) mt_rand())->limit(3)->get() as $entry) {
                $right = array_map(strval(...), $entry->flown);
                $wrong = ['fh' => (string) ($entry->flown['fh'] + 0.7), 'ldg' => (string) ($entry->flown['ldg'] + 2)];
                $this->as('ines', 'POST', "flying/{$entry->id}/correct", [
                    'flown' => $wrong, 'reason' => 'read from the wrong line',
                ])->assertOk();
                self::assertEqualsWithDelta(
                    $craft->counters['fh'] + 0.7,
                    Aircraft::findOrFail($craft->id)->counters['fh'],
                    1e-6,
                );
                self::assertNotSame($before, $this->state($mark), "{$mark} {$entry->date}");
                $latest = FlyingEntry::where(
                    ['aircraft_id' => $craft->id, 'date' => $entry->date, 'current' => true],
                )->firstOrFail();
                $this->as('ines', 'POST', "flying/{$latest->id}/correct", [
                    'flown' => $right, 'reason' => 'it was right before',
                ])->assertOk();
                self::assertSame($before, $this->state($mark), "{$mark} {$entry->date}");
                self::assertSame(
                    [$entry->id, 3],
                    [
                        (int) $latest->corrects_id,
                        FlyingEntry::where(['aircraft_id' => $craft->id, 'date' => $entry->date])->count(),
                    ],
                    'nothing is lost',
                );
            }
        }
    }

    public function test_a_correction_reaches_only_what_came_after_it(): void
    {
        // In September an engine went from QA-VFB to QA-VFD; a day of QA-VFB before that is on that engine, one after
        // is not.
        $engine = Component::with('tenure.craft')->findOrFail(
            ComponentTenure::where('reason', 'like', 'exchanged%')->firstOrFail()->component_id,
        );
        self::assertSame('QA-VFD', $engine->tenure?->craft->mark);
        $of = fn(): string
            => array_column(
                $this->as('ines', 'GET', 'fleet/QA-VFD')->json('components'),
                'counters',
                'id',
            )[$engine->id];
        $vfb = Aircraft::where('mark', 'QA-VFB')->firstOrFail();
        foreach (['2025-03-03' => true, '2026-02-03' => false] as $date => $moves) {
            $before = $of();
            $entry = FlyingEntry::where(['aircraft_id' => $vfb->id, 'date' => $date])->firstOrFail();
            $this->as('ines', 'POST', "flying/{$entry->id}/correct", [
                'flown' => ['fh' => (string) ($entry->flown['fh'] + 1), 'ldg' => (string) $entry->flown['ldg']],
                'reason' => 'an hour was left out',
            ])->assertOk();
            self::assertSame($moves, $before !== $of(), $date);
        }
        $again = $this->as('ines', 'POST', "flying/{$entry->id}/correct", [
            'flown' => ['fh' => '1', 'ldg' => '1'], 'reason' => 'twice',
        ]);
        $again->assertStatus(409);
        $now = FlyingEntry::where(['aircraft_id' => $vfb->id, 'date' => $date, 'current' => true])->firstOrFail();
        $this->as('ines', 'POST', "flying/{$now->id}/correct", [
            'flown' => array_map(strval(...), $now->flown), 'reason' => 'the same',
        ])->assertStatus(422)->assertJsonPath('message', 'That is what stands there already. Nothing was changed.');
    }

    public function test_a_component_takes_its_life_along_and_back_again(): void
    {
        $craft = fn(string $mark): array => $this->as('ines', 'GET', "fleet/{$mark}")->json();
        $items = fn(string $mark, int $id): array => array_column(
            array_filter($craft($mark)['items'], static fn(array $i): bool => str_ends_with($i['key'], ":{$id}")),
            'remaining',
            'code',
        );
        $engine = array_column($craft('QA-VFC')['components'], 'id', 'position')['engine 1'];
        $before = [$craft('QA-VFC')['items'], $craft('QA-VFD')['items'], $items('QA-VFC', $engine)];
        $other = array_column($craft('QA-VFD')['components'], 'id', 'position')['engine 1'];
        $move = fn(?string $mark, string $position, ?int $what = null) => $this->as(
            'ines',
            'POST',
            'components/'.($what ?? $engine).'/move',
            ['mark' => $mark, 'position' => $position, 'reason' => 'to be seen', 'stamp' => 'C01', 'pin' => '1101'],
        );

        $move('QA-VFD', 'engine 1')->assertStatus(422)->assertJsonPath(
            'message',
            'QA-VFD has Quill Q120 engine '.array_column(
                $craft('QA-VFD')['components'],
                'serial',
                'position',
            )['engine 1'].' at engine 1. Take that off first. Nothing was moved.',
        );
        $move(null, 'Skarnholm store', $other)->assertOk();
        $move('QA-VFD', 'engine 1')->assertOk();
        self::assertSame([], $items('QA-VFC', $engine), 'gone with it');
        self::assertEquals(
            $before[2],
            $items('QA-VFD', $engine),
            'what is left to each of its items is the same on another aircraft',
        );
        $move('QA-VFD', 'engine 1')->assertStatus(422);
        $move(null, 'Skarnholm store')->assertOk()->assertJsonPath('place', 'Skarnholm store');
        self::assertContains($engine, array_column($this->as('mika', 'GET', 'components')->json(), 'id'));
        $move(null, 'elsewhere')->assertStatus(422);
        $move('QA-VFC', 'engine 1')->assertOk();
        $move('QA-VFD', 'engine 1', $other)->assertOk();
        self::assertEquals(
            $before,
            [$craft('QA-VFC')['items'], $craft('QA-VFD')['items'], $items('QA-VFC', $engine)],
            'back and forth changes nothing',
        );
        $serial = Component::findOrFail($engine)->serial;
        $moves = array_filter(
            $this->as('mika', 'GET', 'fleet/QA-VFC/history')->json('fitted'),
            static fn(array $f): bool => str_ends_with($f['name'], $serial),
        );
        self::assertEqualsCanonicalizing(['fitted', 'taken off', 'fitted'], array_column($moves, 'what'));
    }

    public function test_the_flying_programme_brings_what_was_flown_and_its_faults_are_refused(): void
    {
        $take = fn(array $body) => $this->as('ines', 'POST', 'flying-programme', $body);
        foreach ([
            'backwards' => 'runs backwards', 'jump' => 'do not fit into one day',
            'unknown' => 'there is no aircraft "QZ-000"',
        ] as $fault => $said) {
            $answer = $take(['what' => 'flown', 'fault' => $fault])->assertStatus(422);
            self::assertSame(
                ['line 2', true],
                [substr($answer->json('lines.0.line'), 0, 6), str_contains($answer->json('lines.0.message'), $said)],
                $fault,
            );
        }
        $view = $take(['what' => 'flown'])->assertOk()->json();
        self::assertSame(['Q-406', 'QA-VFC'], array_values(array_unique(array_column($view['changes'], 'subject'))));
        self::assertSame($view['changes'], $take(['what' => 'flown'])->json('changes'), 'the same seed tells the same');
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
        self::assertSame('feed', FlyingEntry::latest('id')->firstOrFail()->source);
        $take(['what' => 'flown'])->assertStatus(422)
            ->assertJsonPath('message', 'Everything flown up to Mon 4 May is already counted.');

        $sectors = $take(['what' => 'sectors'])->assertOk()->json();
        self::assertGreaterThan(5, count($sectors['changes']));
        self::assertStringContainsString(
            'QC-TAC stands in a visit',
            implode(' ', array_column($sectors['asked'], 'message')),
        );
        $this->as('ines', 'POST', "library/imports/{$sectors['id']}/apply", ['sure' => true])->assertOk();
        self::assertSame([], $take(['what' => 'sectors'])->json('changes'), 'then it is so');
    }

    public function test_a_day_with_sectors_flies_just_them(): void
    {
        $item = ProgrammeItem::where('code', '27-51')
            ->whereHas('template', static fn($q) => $q->where('code', 'like', 'OLN%'))->firstOrFail();
        Sector::query()->delete();
        ItemStatus::where('item_id', $item->id)->update(['counters' => json_encode(['fh' => 0, 'ldg' => 2514 - 490])]);
        ItemStatus::where('item_id', $item->id)->update(['date' => '2026-05-01', 'planned' => null]);
        $due = fn(): string
            => array_column($this->as('ines', 'GET', 'fleet/QC-TAA')->json('items'), 'date', 'code')['27-51'];
        self::assertSame('2026-05-10', $due(), '10 landings at 1.6 a day');
        $sheet = "mark,date,number,from,to,fh,ldg\r\nQC-TAA,2026-05-06,A1,Skarnholm,Halvik,1.1,6\r\nQC-TAA,2026-05-06,A2,Halvik,Skarnholm,1.2,3\r\n";
        $view = $this->as('ines', 'POST', 'library/imports', ['kind' => 'sectors', 'name' => 's.csv', 'text' => $sheet])
            ->assertOk()->json();
        self::assertContains('27-51 Flap travel timing', array_column($view['dates'], 'what'));
        self::assertSame('2026-05-10', $due(), 'a preview saves nothing');
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
        self::assertSame('2026-05-05', $due(), 'nine more landings on the 6th do not fit');
        $bad = "mark,date,number,from,to,fh,ldg\r\nQC-TAA,2026-05-05,A1,a,b,1,1\r\nQC-ZZZ,2026-05-07,A1,a,b,1,1\r\nQC-TAA,2026-05-07,,a,b,1,1\r\nQC-TAA,2026-05-08,B,a,b,1,1\r\nQC-TAA,2026-05-08,B,a,b,1,1\r\nQC-TAA,2026-05-08,C,a,b,30,1\r\n";
        self::assertSame(
            ['line 2, date', 'line 3, mark', 'line 4, number', 'line 6, number', 'line 7, fh'],
            array_column(
                $this->as('ines', 'POST', 'library/imports', [
                    'kind' => 'sectors', 'name' => 's.csv', 'text' => $bad,
                ])->assertStatus(422)->json('lines'),
                'line',
            ),
        );
    }

    public function test_imports_are_all_or_nothing(): void
    {
        mt_srand(3);
        $marks = Aircraft::orderBy('mark')->pluck('mark')->all();
        $state = static fn(): string
            => hash(
                'sha256',
                (string) json_encode([Aircraft::orderBy('id')->get(), DB::table('flying_entries')->count()]),
            );
        for ($round = 0; $round < 12; $round++) {
            $lines = array_map(
                static fn(string $m): string => "{$m},2026-05-05,".(mt_rand(0, 60) / 10).','.mt_rand(0, 9),
                $marks,
            );
            $broken = mt_rand(0, count($lines) - 1);
            $lines[$broken] = str_replace(
                '2026-05-05',
                ['2026-05-35', '2027-01-01', ''][mt_rand(0, 2)],
                $lines[$broken],
            );
            $before = $state();
            $answer = $this->as('ines', 'POST', 'library/imports', [
                'kind' => 'flying', 'name' => 'f.csv', 'text' => "mark,date,fh,ldg\n".implode("\n", $lines),
            ])->assertStatus(422);
            self::assertSame(['line '.($broken + 2).', date'], array_column($answer->json('lines'), 'line'));
            self::assertSame($before, $state());
        }
    }

    public function test_a_day_that_was_left_out_is_entered_late_and_carries_like_a_correction(): void
    {
        // A gap in the log is the same as a day of nothing; filling it is the same as never having left it out.
        $craft = Aircraft::where('mark', 'Q-405')->firstOrFail();
        $whole = $this->state('Q-405');
        $entry = FlyingEntry::where(['aircraft_id' => $craft->id, 'date' => '2026-03-11'])->firstOrFail();
        $flown = array_map(strval(...), $entry->flown);
        self::assertGreaterThan(0, $entry->flown['fh']);
        $this->as('ines', 'POST', "flying/{$entry->id}/correct", [
            'flown' => ['fh' => '0', 'ldg' => '0'], 'reason' => 'of another aircraft',
        ])->assertOk();
        FlyingEntry::where(['aircraft_id' => $craft->id, 'date' => '2026-03-11'])->update(['current' => false]);
        $enter = fn(string $date, array $cells)
            => $this->as('ines', 'POST', 'fleet/Q-405/flying', ['date' => $date, 'flown' => $cells]);
        $enter('2026-03-11', ['fh_total' => '3600', 'ldg' => '2'])->assertStatus(422)
            ->assertJsonPath('lines.0.line', 'fh_total');
        $enter('2026-03-11', $flown)->assertOk();
        self::assertSame($whole, $this->state('Q-405'));
        self::assertSame('entered late', FlyingEntry::latest('id')->firstOrFail()->reason);
        self::assertStringContainsString(
            'already; this adds to it',
            $enter('2026-03-11', $flown)->assertStatus(422)->json('asked.0'),
        );
        $enter('2012-01-01', $flown)->assertStatus(422);
    }

    public function test_a_cancelled_sector_is_gone_from_the_plan_and_stays_in_the_record(): void
    {
        $plan = fn(): array => $this->as('mika', 'GET', 'fleet/QC-TAA')->json('plan.sectors');
        $first = $plan()[0];
        $this->as('ines', 'POST', "sectors/{$first['id']}/cancel")->assertOk();
        self::assertNotContains($first['id'], array_column($plan(), 'id'));
        $record = DB::table('records')->orderByDesc('id')->first();
        self::assertSame(['plan.sector_cancelled', 'aircraft:QC-TAA', true], [
            $record?->what, $record?->subject, str_contains((string) $record?->data, $first['date']),
        ]);
        $this->as('ines', 'POST', "sectors/{$first['id']}/cancel")->assertNotFound();
        // By mistake: it comes back as it was, once.
        $back = "sectors/{$first['id']}/restore";
        self::assertSame($first, $this->as('ines', 'POST', $back)->assertOk()->json('plan.sectors.0'));
        $this->as('ines', 'POST', $back)->assertStatus(422);
        $this->as('ines', 'POST', 'sectors/9999/restore')->assertStatus(422);
    }
}
