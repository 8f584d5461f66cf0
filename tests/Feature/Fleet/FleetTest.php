<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\CalendarLink;
use App\Fleet\Model\Component;
use App\Fleet\Model\PressureReading;
use App\Fleet\Show\DueSheets;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** The whole fleet at a glance: due sheets, due list, stagger, what if, bottles, calendar. */
final class FleetTest extends WorldCase
{
    /**
     * @return iterable<string, array{string, string, bool}> what is done to the database, and whether a sheet rests on
     *   it
     */
    public static function changes(): iterable
    {
        $vfc = "(select id from aircraft where mark = 'QA-VFC')";
        yield 'flying' => [
            'QA-VFC', "update aircraft set counters = '{\"fh\":10530,\"ldg\":7300}' where id = {$vfc}", true,
        ];
        yield 'a week\'s pattern' => ['QA-VFC', "update aircraft set week = null where id = {$vfc}", true];
        yield 'an item done' => [
            'QA-VFC', "update item_statuses set date = '2026-01-01' where aircraft_id = {$vfc}", true,
        ];
        yield 'a component\'s item done'
            => [
                'QA-VFC',
                'delete from item_statuses where component_id in (select component_id from tenures where '
                    ."aircraft_id = {$vfc})",
                true,
            ];
        yield 'a component taken off'
            => ['QA-VFC', "update tenures set to_date = '2026-05-05' where aircraft_id = {$vfc}", true];
        yield 'a bottle\'s data' => [
            'QA-VFE',
            "update components set gauge = '{\"unit\":\"bar\",\"minimum\":120}' where kind = 'oxygen bottle'", true,
        ];
        yield 'a gauge reading' => ['QA-VFE', 'update pressure_readings set pressure = pressure - 1', true];
        yield 'a sector' => ['QC-TAA', 'delete from sectors', true];
        yield 'a visit slipped' => [
            'QA-VFB', "update visits set start = '2026-05-23' where title = 'Phase check'", true,
        ];
        yield 'a card on another item' => [
            'QA-VFB',
            "update cards set item_id = (select id from programme_items where code = '12-11' limit 1) where title = "
                ."'Phase check'",
            true,
        ];
        yield 'a deferral closed' => ['Q-405', 'delete from deferrals', true];
        yield 'a listed item renamed' => ['Q-405', "update listed_items set title = 'Another name'", true];
        yield 'a programme changed' => [
            'QA-VFC',
            "update programme_items set limits = '[{\"unit\":\"fh\",\"interval\":700}]' where code = '61-21'", true,
        ];
        yield 'a harsher base' => [
            'QA-VFF', "update bases set conditions = '[\"salt\",\"gravel\"]' where name = 'Port Ellery'", true,
        ];
        yield 'a step worked' => ['QA-VFA', "update steps set state = 'open'", false];
        yield 'a card signed' => ['QA-VFA', "update cards set state = 'signed'", false];
    }

    /** No path can forget a sheet: the database drops it, and what is shown is what would be worked out anew. */
    #[DataProvider('changes')]
    public function test_a_due_sheet_never_outlives_what_it_rests_on(string $mark, string $change, bool $drops): void
    {
        $this->as('ines', 'GET', 'fleet');
        $id = Aircraft::where('mark', $mark)->value('id');
        self::assertSame(20, DB::table('due_sheets')->count());
        DB::statement('pragma foreign_keys = off');
        DB::statement($change);
        self::assertSame($drops, DB::table('due_sheets')->where('aircraft_id', $id)->doesntExist());
        $shown = [
            $this->as('ines', 'GET', 'fleet')->json('rows'), $this->as('ines', 'GET', 'due?days=90')->json('rows'),
        ];
        DB::table('due_sheets')->delete();
        self::assertSame(
            [$this->as('ines', 'GET', 'fleet')->json('rows'), $this->as('ines', 'GET', 'due?days=90')->json('rows')],
            $shown,
        );
    }

    public function test_the_due_list_is_what_the_aircraft_say_and_its_csv_is_the_same(): void
    {
        $rows = $this->as('mika', 'GET', 'due?days=60')->assertOk()->json('rows');
        $said = [];
        foreach (Aircraft::pluck('mark') as $mark) {
            foreach ($this->as('mika', 'GET', "fleet/{$mark}")->json('items') as $item) {
                if ($item['date'] !== null && $item['days'] <= 60) {
                    $said["{$mark} {$item['key']}"] = [$item['date'], $item['title'], $item['state'], $item['hours']];
                }
            }
        }
        $listed = array_combine(
            array_map(static fn(array $r): string => "{$r['mark']} {$r['key']}", $rows),
            array_map(static fn(array $r): array => [$r['date'], $r['title'], $r['state'], $r['hours']], $rows),
        );
        self::assertGreaterThan(300, count($rows));
        self::assertEqualsCanonicalizing($said, $listed);
        $dates = array_column($rows, 'date');
        $sorted = $dates;
        sort($sorted);
        self::assertSame($sorted, $dates);
        $csv = $this->actingAs($this->person('mika'))->get('/api/due.csv?days=60')->assertOk()
            ->assertHeader('content-type', 'text/csv; charset=utf-8');
        $lines = array_map(
            static fn(string $l): array
                => str_getcsv($l, ',', '"', ''),
            explode("\r\n", trim((string) $csv->getContent())),
        );
        self::assertCount(count($rows) + 1, $lines);
        self::assertSame([$rows[0]['mark'], $rows[0]['code'], $rows[0]['date']], [
            $lines[1][0], $lines[1][4], $lines[1][7],
        ]);
        self::assertSame(['QA-VFC'], array_values(
            array_unique(array_column($this->as('mika', 'GET', 'due?days=60&mark=QA-VFC')->json('rows'), 'mark')),
        ));
        $this->as('mika', 'GET', 'due?days=-1')->assertStatus(422);
    }

    public function test_stagger_keeps_within_the_task_and_says_what_is_not_planned(): void
    {
        $room = $this->as('mika', 'GET', 'stagger?weeks=6')->assertOk()->json();
        $coast = array_column($room['fleets'], null, 'fleet')['coast'];
        self::assertSame(
            ['Q-401', 'Q-402', 'Q-404'],
            array_slice(array_column($coast['rows'], 'mark'), 0, 3),
            'the most hours left first',
        );
        self::assertLessThan($coast['spread'], $coast['endSpread']);
        for ($w = 0; $w < 6; $w++) {
            self::assertEqualsWithDelta(
                $coast['tasks'][$w] - $coast['short'][$w],
                array_sum(array_map(static fn(array $r): float => $r['hours'][$w], $coast['rows'])),
                1e-9,
            );
        }
        $rows = array_column($coast['rows'], null, 'mark');
        self::assertSame(
            ['Phase A', 'Phase A', 'Phase A'],
            array_slice($rows['Q-407']['weekNotes'], 1, 3),
            'its visit',
        );
        self::assertSame(['Phase B, not planned yet', 1, null], [
            $rows['Q-408']['weekNotes'][1], $rows['Q-408']['unplanned'], $rows['Q-407']['unplanned'],
        ]);
        $more = array_column(
            $this->as('mika', 'GET', 'stagger?weeks=2&fleet=coast&task=60')->json('fleets'),
            null,
            'fleet',
        )['coast'];
        self::assertSame([60, 60], $more['tasks']);
        $this->as('mika', 'GET', 'stagger?weeks=20')->assertStatus(422);
    }

    public function test_what_if_saves_nothing_until_it_is_told_to(): void
    {
        $visit = Visit::where('title', 'Phase check')->firstOrFail();
        $slip = ['changes' => [
            ['kind' => 'visit', 'id' => $visit->id, 'start' => '2026-05-22', 'end' => '2026-05-27'],
            ['kind' => 'use', 'mark' => 'QC-TAC', 'rates' => ['fh' => 3.0, 'ldg' => 2.0]],
            ['kind' => 'base', 'mark' => 'QC-TAA', 'base' => 'Port Ellery'],
        ]];
        $before = array_column($this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark');
        $view = $this->as('ines', 'POST', 'what-if', $slip)->assertOk()->json();
        self::assertSame(['QA-VFB', 'QC-TAA', 'QC-TAC'], array_column($view['aircraft'], 'mark'));
        foreach ($view['aircraft'] as $row) {
            self::assertEquals($before[$row['mark']], $row['before']);
        }
        self::assertEquals($before, array_column($this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark'));
        $items = array_column($view['aircraft'], 'items', 'mark');
        self::assertContains('12-21', array_column($items['QC-TAA'], 'code'), 'salt brings its lubrication forward');
        self::assertLessThan(0, array_column($items['QC-TAC'], 'days', 'code')['32-83'], 'more landings, sooner due');

        DB::table('aircraft')->where('mark', 'QC-TAC')->update(['rates' => '{"fh":2.9,"ldg":1}']);
        $this->as('ines', 'POST', 'what-if/apply', [...$slip, 'base' => $view['base']])->assertStatus(409);
        self::assertSame('2026-05-21', (string) $visit->refresh()->start, 'nothing was saved');
        $view = $this->as('ines', 'POST', 'what-if', $slip)->json();
        $this->as('ines', 'POST', 'what-if/apply', [...$slip, 'base' => $view['base']])->assertOk();
        self::assertSame(['2026-05-22', '2026-05-27'], [(string) $visit->refresh()->start, (string) $visit->end]);
        $after = array_column($this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark');
        foreach ($view['aircraft'] as $row) {
            self::assertEquals($row['after'], $after[$row['mark']], 'what was supposed is so');
        }
        self::assertSame(
            ['plan.visit', 'plan.use', 'plan.base', 'visit.planned'],
            DB::table('records')->orderByDesc('id')->limit(4)->pluck('what')->reverse()->values()->all(),
        );
    }

    public function test_visits_that_are_supposed_elsewhere_are_in_each_others_way_and_planned_anew(): void
    {
        $of = static fn(string $mark): Visit => Visit::whereHas('aircraft', static fn($q) => $q->where('mark', $mark))
            ->where('state', '!=', Visit::RELEASED)->orderByDesc('start')->firstOrFail();
        [$begun, $next] = [$of('Q-403'), $of('Q-407')];
        self::assertSame([$begun->bay, Visit::IN_WORK], [$next->bay, $begun->state]);
        $asked = static fn(Visit $v, string $start, string $end, ?string $reason = null): array => [
            'kind' => 'visit', 'id' => $v->id, 'start' => $start, 'end' => $end, 'reason' => $reason,
        ];
        $apply = function (array ...$changes): TestResponse {
            $base = $this->as('ines', 'POST', 'what-if', ['changes' => $changes])->json('base');

            return $this->as('ines', 'POST', 'what-if/apply', ['changes' => $changes, 'base' => $base]);
        };
        $longer = $asked($begun, (string) $begun->start, '2026-05-12', 'a new seal is on its way');
        $sooner = $asked($next, '2026-05-11', '2026-05-15');
        foreach ([
            'say why it is changed' => [[...$longer, 'reason' => ' ']],
            'Q-407 stands in Port Ellery from Mon 11 May' => [$longer, $sooner],
            'which is past' => [[...$longer, 'end' => '2026-05-04']],
        ] as $said => $changes) {
            self::assertStringContainsString($said, $apply(...$changes)->assertStatus(422)->json('message'));
        }
        // Apart from each other they go, and each is planned where it is.
        $apply($longer, $asked($next, '2026-05-13', '2026-05-20'))->assertOk();
        self::assertSame('2026-05-12', (string) $begun->refresh()->end);
        self::assertSame('2026-05-13', substr((string) $next->cards()->min('planned_start'), 0, 10));
        self::assertSame([], $this->as('ines', 'GET', "visits/{$next->id}")->json('doubts'));
        // On the apron it is worked by the people of its base, and by others where it lives elsewhere.
        $item = array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), 'key', 'code')['53-11'];
        $line = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Outside', 'bay' => Visit::LINE, 'start' => '2026-05-20',
            'end' => '2026-05-21', 'items' => [$item],
        ])->assertCreated()->json('id');
        $plan = fn(): array => [
            VisitPlan::findOrFail($line)->version, VisitPlan::findOrFail($line)->problem(),
        ];
        self::assertSame([1, null], $plan());
        $apply(['kind' => 'base', 'mark' => 'QA-VFC', 'base' => 'Port Ellery'])->assertOk();
        self::assertSame(2, $plan()[0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'an item would be overdue'
            => [['kind' => 'visit', 'id' => 3, 'start' => '2026-06-20', 'end' => '2026-06-24'], 'must be done by'];
        yield 'backwards' => [
            ['kind' => 'visit', 'id' => 3, 'start' => '2026-05-25', 'end' => '2026-05-24'], 'before it begins',
        ];
        yield 'into the past' => [
            ['kind' => 'visit', 'id' => 3, 'start' => '2026-05-01', 'end' => '2026-05-04'], 'which is past',
        ];
        yield 'out of sight' => [
            ['kind' => 'visit', 'id' => 3, 'start' => '9999-12-30', 'end' => '9999-12-31'], 'further off',
        ];
        yield 'one that has begun' => [
            ['kind' => 'visit', 'id' => 1, 'start' => '2026-05-01', 'end' => '2026-05-24'], 'only its end can move',
        ];
        yield 'a visit that is none' => [
            ['kind' => 'visit', 'id' => 999, 'start' => '2026-05-01', 'end' => '2026-05-24'], 'not planned any more',
        ];
        yield 'a base that is none' => [
            ['kind' => 'base', 'mark' => 'Q-401', 'base' => 'Moon'], 'There is no base "Moon"',
        ];
        yield 'an aircraft that is none'
            => [['kind' => 'base', 'mark' => 'Q-999', 'base' => 'Skarnholm'], 'There is no aircraft "Q-999"'];
        yield 'a counter that it has not'
            => [['kind' => 'use', 'mark' => 'Q-401', 'rates' => ['cyc' => 3]], 'has no counter "cyc"'];
        yield 'days of more than a day'
            => [['kind' => 'use', 'mark' => 'Q-401', 'rates' => ['fh' => 70]], 'from 0 to 60'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused_and_nothing_is_saved(array $change, string $said): void
    {
        $look = $this->as('ines', 'POST', 'what-if', ['changes' => [$change]]);
        $apply = $this->as('ines', 'POST', 'what-if/apply', ['changes' => [$change], 'base' => $look->json('base')])
            ->assertStatus(422);
        self::assertStringContainsString($said, (string) $apply->json('message'));
        self::assertSame('2026-05-21', (string) Visit::findOrFail(3)->start);
    }

    public function test_a_bottle_is_read_corrected_and_changed_and_its_date_stops_the_aircraft(): void
    {
        $room = $this->as('mika', 'GET', 'bottles')->assertOk()->json();
        $first = $room['bottles'][0];
        self::assertSame(['QA-VFE', 'stop', '2026-05-15', false], [
            $first['mark'], $first['state'], $first['date'], $first['leak'],
        ]);
        self::assertStringContainsString('QA-VFE first', $room['sentence']);
        self::assertSame(
            [['Q-402', 'hydraulic accumulator']],
            array_values(array_map(
                static fn(array $b): array => [$b['mark'], $b['position']],
                array_filter($room['bottles'], static fn(array $b): bool => $b['leak'] === true),
            )),
            'one leaks',
        );
        $stop = fn(): array => array_column($this->as('mika', 'GET', 'fleet')->json('rows'), 'stop', 'mark')['QA-VFE'];
        self::assertSame(['bottle', '2026-05-15'], [$stop()['kind'], $stop()['date']]);
        $read = fn(array $body) => $this->as('oda', 'POST', "components/{$first['component']}/readings", $body);
        $reading = ['date' => '2026-05-05', 'pressure' => 80.0, 'temp_c' => 12];
        $read([...$reading, 'date' => '2026-05-06'])->assertStatus(422);
        $read([...$reading, 'date' => '2026-04-01'])->assertStatus(422);
        $read([...$reading, 'pressure' => -3])->assertStatus(422);
        $read([...$reading, 'temp_c' => 200])->assertStatus(422);
        $after = $read($reading)->assertOk()->json();
        self::assertLessThan('2026-05-15', $after['date']);
        $wrong = $after['readings'][0]['id'];
        $this->as('oda', 'POST', "readings/{$wrong}/correct", [
            'pressure' => 91.0, 'temp_c' => 12, 'reason' => 'nought for nine',
        ])->assertOk();
        $this->as('oda', 'POST', "readings/{$wrong}/correct", ['reason' => 'again'])->assertStatus(409);
        $latest = PressureReading::latest('id')->firstOrFail();
        self::assertSame([91.0, $wrong], [$latest->pressure, $latest->corrects_id]);
        $this->as('oda', 'POST', "readings/{$latest->id}/correct", ['reason' => 'of the spare bottle'])->assertOk()
            ->assertJsonPath('date', '2026-05-15');
        $changed = $read(['date' => '2026-05-05', 'pressure' => 124, 'temp_c' => 12, 'replaced' => true])->assertOk()
            ->json();
        self::assertSame(['waiting', null], [$changed['state'], $changed['date']], 'no trend yet');
        self::assertNotSame('bottle', $stop()['kind']);
        $engine = Component::where('kind', 'engine')->value('id');
        $this->as('oda', 'POST', "components/{$engine}/readings", $reading)->assertStatus(422);
    }

    public function test_the_calendar_is_read_by_another_reader_until_it_is_revoked(): void
    {
        $link = $this->as('ines', 'POST', 'calendar-links', ['name' => 'Wall; screen, "big"'])->assertCreated()->json();
        $path = (string) parse_url($link['address'], PHP_URL_PATH);
        self::assertSame(
            0,
            CalendarLink::where('token', basename($path, '.ics'))->count(),
            'only a hash of it is kept',
        );
        Visit::where('title', 'Phase check')->update(
            ['title' => 'Phase; check, with \\ and a name so long that its line must be folded: '
                ."\u{00E6}\u{00F8}\u{00E5} \u{00E6}\u{00F8}\u{00E5} \u{00E6}\u{00F8}\u{00E5} \u{00E6}\u{00F8}\u{00E5}"],
        );
        app('auth')->forgetGuards();
        $ics = $this->get($path)->assertOk()->assertHeader('content-type', 'text/calendar; charset=utf-8')
            ->getContent();
        foreach (explode("\r\n", (string) $ics) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
        }
        $events = self::readByAnother((string) $ics);
        $visit = array_column($events, null, 'uid')['visit-3@jorvel'];
        self::assertSame(['2026-05-21', '2026-05-26'], [$visit['start'], $visit['end']], 'the last day is included');
        self::assertStringContainsString('Phase; check, with \\ and a name', $visit['summary']);
        self::assertStringContainsString("\u{00E6}\u{00F8}\u{00E5}", $visit['summary']);
        $kinds = array_count_values(array_map(static fn(array $e): string => explode('-', $e['uid'])[0], $events));
        $lines = array_filter(
            $this->as('mika', 'GET', 'due?days=90')->json('rows'),
            static fn(array $r): bool => $r['visit'] === null && ! str_starts_with($r['key'], 'deferral:'),
        );
        self::assertSame(Visit::where('state', '!=', 'released')->count(), $kinds['visit']);
        self::assertSame(Deferral::where('state', 'open')->count(), $kinds['deferral']);
        self::assertCount(
            $kinds['due'],
            array_unique(array_map(static fn(array $r): string => $r['mark'].$r['date'], $lines)),
        );
        self::assertSame(count($events), count(array_unique(array_column($events, 'uid'))));

        self::assertNotNull($this->as('ines', 'GET', 'calendar-links')->json('0.read'));
        $this->as('ines', 'POST', "calendar-links/{$link['id']}/revoke")->assertOk();
        $this->get($path)->assertNotFound();
        $this->get('/calendar/'.str_repeat('0', 40).'.ics')->assertNotFound();
        self::assertSame([], $this->as('oda', 'GET', 'calendar-links')->json(), 'one sees one\'s own');
    }

    /** @return list<array{uid: string, summary: string, start: string, end: string}> as ical.js reads them */
    public static function readByAnother(string $ics): array
    {
        $script = 'import ICAL from "ical.js"; let t = ""; process.stdin.on("data", d => t += d).on("end", () => { '
            .'const c = new ICAL.Component(ICAL.parse(t)); '
            .'console.log(JSON.stringify(c.getAllSubcomponents("vevent").map(e => new ICAL.Event(e)).map(e => ({ '
            .'uid: e.uid, summary: e.summary, start: e.startDate.toString(), end: e.endDate.toString() })))); });';
        $process = proc_open(
            ['node', '--input-type=module', '-e', $script],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            base_path(),
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $ics);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        self::assertSame('', (string) stream_get_contents($pipes[2]));
        proc_close($process);

        return json_decode($out, true, 16, JSON_THROW_ON_ERROR);
    }

    public function test_a_large_world_is_the_same_from_the_same_seed_and_grows_as_asked(): void
    {
        $make = function (int $seed): string {
            $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-large');
            $kept = config('database.connections.sqlite.database');
            self::assertSame(
                0,
                Artisan::call('jorvel:world', [
                    'name' => 'large', '--seed' => $seed, '--aircraft' => 6, '--items' => 30, '--years' => 1,
                    '--database' => $file,
                ]),
            );
            $rows = app(DueSheets::class)->all('head', 'rows');
            self::assertSame(
                [6, 180],
                [$rows->count(), $rows->sum(static fn($s): int => count(json_decode($s->rows)))],
                'each aircraft has as many due rows as items were asked for',
            );
            $print = hash('sha256', (string) json_encode(
                [$rows, DB::table('flying_entries')->count(), DB::table('item_statuses')->sum('id')],
            ));
            config(['database.connections.sqlite.database' => $kept]);
            app('db')->purge();
            array_map(unlink(...), glob("{$file}*") ?: []);

            return $print;
        };
        self::assertSame($make(7), $make(7));
        self::assertNotSame($make(7), $make(8));
        self::assertSame(2, Artisan::call('jorvel:world', ['name' => 'small']));
        self::assertSame(2, Artisan::call('jorvel:world', ['name' => 'large', '--aircraft' => 0]));
    }
}
