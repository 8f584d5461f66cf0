<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemStatus;
use App\Shared\Csv;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * One walk over every place that names an aircraft's next stop or the date of an item or a deferral, in worlds at
 * chance: they all say the same. What a certificate and an import's preview say is compared in ReleaseTest and
 * ImportTest.
 */
final class OneAnswerTest extends WorldCase
{
    /** @return iterable<string, array{int}> */
    public static function worlds(): iterable
    {
        foreach ([3, 4, 5, 6] as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('worlds')]
    public function test_every_place_says_the_same(int $seed): void
    {
        mt_srand($seed);
        $this->shake();
        $rows = $this->rows();
        $aircraft = [];
        foreach (array_keys($rows) as $mark) {
            $aircraft[$mark] = $this->as('mika', 'GET', "fleet/{$mark}")->assertOk()->json();
        }
        $kinds = $this->reach($rows, $aircraft);
        self::assertGreaterThan(1, count($kinds), 'not all stop for one kind of reason: '.json_encode($kinds));
        $this->dueList($aircraft);
        $this->deferrals($rows);
        $this->season($aircraft);
        $this->calendar($rows, $aircraft);
        $this->whatIf($rows, $aircraft);
    }

    /** Flying, what was done, rates, deferrals: anything that moves a date. */
    private function shake(): void
    {
        foreach (self::some(ItemStatus::query()->orderBy('id')->get()->all(), 120) as $status) {
            $status->update(['date' => (string) $status->date->plusDays(-mt_rand(0, 40))]);
        }
        foreach (Deferral::where('state', 'open')->get() as $deferral) {
            $at = $deferral->discovered_at->epoch() - mt_rand(-1, 3) * 43_200;
            Deferral::whereKey($deferral->id)->update(['discovered_at' => gmdate('Y-m-d\TH:i:s\Z', $at)]);
        }
        DB::table('due_sheets')->delete();
        $applied = 0;
        foreach (self::some(Aircraft::query()->orderBy('id')->get()->all(), 6) as $one) {
            $rates = array_map(static fn(float|int $r): float => round($r * mt_rand(50, 200) / 100, 1), $one->rates);
            $changes = ['changes' => [['kind' => 'use', 'mark' => $one->mark, 'rates' => $rates]]];
            $base = $this->as('ines', 'POST', 'what-if', $changes)->assertOk()->json('base');
            // A use with which a planned visit would come too late is refused, and leaves everything as it was.
            $applied += $this->as('ines', 'POST', 'what-if/apply', [...$changes, 'base' => $base])->status() === 200
                ? 1 : 0;
        }
        self::assertGreaterThan(1, $applied);
    }

    /**
     * @template T
     *
     * @param array<int, T> $of
     *
     * @return list<T> as many of them, the same at every run
     */
    private static function some(array $of, int $many): array
    {
        shuffle($of);

        return array_slice($of, 0, $many);
    }

    /** @return array<string, array<string, mixed>> rows of the room Fleet by aircraft */
    private function rows(): array
    {
        return array_column($this->as('mika', 'GET', 'fleet')->assertOk()->json('rows'), null, 'mark');
    }

    /**
     * @param array<string, array<string, mixed>> $rows
     * @param array<string, array<string, mixed>> $aircraft
     *
     * @return list<string> kinds of stops that were met
     */
    private function reach(array $rows, array $aircraft): array
    {
        $kinds = [];
        foreach ($rows as $mark => $row) {
            $own = $aircraft[$mark];
            self::assertSame($row, array_intersect_key($own['reach'], $row), "{$mark}: its page and the fleet");
            self::assertSame($row['state'], $own['state'], $mark);
            $stop = $row['stop'];
            if ($stop === null) {
                continue;
            }
            $kinds[$stop['kind']] = $stop['kind'];
            self::assertStringContainsStringIgnoringCase($stop['title'], $own['sentence'], $mark);
            self::assertSame(Day::parse($own['today'])->daysUntil(Day::parse($stop['date'])), $stop['days'], $mark);
            if ($stop['item'] !== null) {
                $item = array_column($own['items'], null, 'key')[$stop['item']];
                self::assertSame([$stop['date'], $stop['days']], [$item['date'], $item['days']], "{$mark}: its item");
            }
            if ($stop['kind'] === 'deferral') {
                $dates = array_column($row['fuses'], 'date', 'title');
                self::assertSame($stop['date'], $dates[$stop['title']], "{$mark}: its deferral");
            }
            // Nothing that has no visit stops it earlier.
            foreach ($own['items'] as $item) {
                if ($item['visit'] === null && $item['date'] !== null && $row['visits'] === []) {
                    self::assertGreaterThanOrEqual($stop['date'], $item['date'], "{$mark}: {$item['code']} is earlier");
                }
            }
            foreach ($row['fuses'] as $fuse) {
                self::assertGreaterThanOrEqual($stop['date'], $fuse['date'], "{$mark}: {$fuse['title']} is earlier");
            }
        }

        return array_values($kinds);
    }

    /** @param array<string, array<string, mixed>> $aircraft */
    private function dueList(array $aircraft): void
    {
        $list = $this->as('mika', 'GET', 'due?days=180')->assertOk()->json('rows');
        self::assertNotSame([], $list);
        foreach ($list as $due) {
            $items = array_column($aircraft[$due['mark']]['items'], null, 'key');
            if (! isset($items[$due['key']])) {
                continue;
            }
            $item = $items[$due['key']];
            // A bottle's trend has no limit: its day is its last.
            $drives = array_column(array_filter($item['limits'], static fn(array $l): bool => $l['drives']), 'unit');
            self::assertSame(
                [$item['date'], $item['days'], $item['state'], $item['remaining'], $drives[0] ?? 'trend'],
                [$due['date'], $due['days'], $due['state'], $due['remaining'], $due['drives']],
                "{$due['mark']} {$due['code']}: the due list and its page",
            );
            self::assertContains($due['latest'], [...array_column($item['limits'], 'latest'), $item['date']]);
        }
        $file = Csv::read((string) $this->actingAs($this->person('mika'))->get('/api/due.csv?days=180')->getContent());
        $named = array_map(static fn(array $r): array => array_combine($file[0], $r), array_slice($file, 1));
        self::assertSame(
            array_map(static fn(array $d): array => [$d['mark'], $d['code'], $d['date'], $d['latest']], $list),
            array_map(static fn(array $r): array => [$r['mark'], $r['item'], $r['due'], $r['latest']], $named),
            'the file and the list',
        );
    }

    /** @param array<string, array<string, mixed>> $rows */
    private function deferrals(array $rows): void
    {
        $carried = $this->as('mika', 'GET', 'deferrals')->assertOk()->json('deferrals');
        self::assertNotSame([], $carried);
        foreach ($carried as $one) {
            $fuse = array_column($rows[$one['mark']]['fuses'], null, 'id')[$one['id']];
            self::assertSame([$fuse['date'], $fuse['days']], [$one['date'], $one['daysLeft']], $one['finding']);
            self::assertContains($one['state'], ['stop', 'watch', 'clear']);
        }
        self::assertSameSize($carried, array_merge(...array_column($rows, 'fuses')));
    }

    /** @param array<string, array<string, mixed>> $aircraft */
    private function season(array $aircraft): void
    {
        $asked = 0;
        $bottles = array_column($this->as('ines', 'GET', 'bottles')->json('bottles'), 'date', 'component');
        foreach ($this->as('ines', 'GET', 'season?days=90')->assertOk()->json('open') as $need) {
            [$mark, $key, $n] = explode('|', $need['id']);
            $item = array_column($aircraft[$mark]['items'] ?? [], null, 'key')[$key] ?? null;
            if ($item === null || $n !== '0') {
                continue;
            }
            // A season is planned without tolerances: by the forecast, not by the last day that one allows.
            $days = array_filter([
                ...array_column($item['limits'], 'latest'), ...array_column($item['limits'], 'forecast'),
                // What empties a bottle brings forward what is done on it.
                $bottles[(int) (explode(':', $key)[1] ?? 0)] ?? null,
            ]);
            self::assertContains($need['latest'], $days, "{$mark} {$need['code']}: the season and its page");
            $asked++;
        }
        self::assertGreaterThan(50, $asked);
    }

    /**
     * @param array<string, array<string, mixed>> $rows
     * @param array<string, array<string, mixed>> $aircraft
     */
    private function calendar(array $rows, array $aircraft): void
    {
        $address = $this->as('ines', 'POST', 'calendar-links', ['name' => 'one answer'])->assertCreated()
            ->json('address');
        app('auth')->forgetGuards();
        $ics = (string) $this->get((string) parse_url($address, PHP_URL_PATH))->getContent();
        $events = FleetTest::readByAnother($ics);
        $days = ['due' => [], 'deferral' => []];
        foreach ($events as $event) {
            $kind = explode('-', $event['uid'])[0];
            $mark = explode(' ', $event['summary'])[0];
            isset($days[$kind]) && $days[$kind][] = "{$mark} {$event['start']}";
        }
        $fuses = [];
        foreach ($rows as $mark => $row) {
            foreach ($row['fuses'] as $fuse) {
                $fuses[] = "{$mark} {$fuse['date']}";
            }
        }
        self::assertEqualsCanonicalizing($fuses, $days['deferral']);
        foreach ($days['due'] as $due) {
            [$mark, $date] = explode(' ', $due);
            self::assertContains($date, array_column($aircraft[$mark]['items'], 'date'), "{$due}: feed and page");
        }
    }

    /**
     * Before it says what is, and after it what then is.
     *
     * @param array<string, array<string, mixed>> $rows
     * @param array<string, array<string, mixed>> $aircraft
     */
    private function whatIf(array $rows, array $aircraft): void
    {
        $free = array_keys(array_filter($rows, static fn(array $r): bool => $r['visits'] === []));
        $mark = $free[mt_rand(0, count($free) - 1)];
        $rates = array_map(static fn(float|int $r): float => round($r + 1.5, 1), $aircraft[$mark]['plan']['rates']);
        $changes = ['changes' => [['kind' => 'use', 'mark' => $mark, 'rates' => $rates]]];
        $look = $this->as('ines', 'POST', 'what-if', $changes)->assertOk()->json();
        $supposed = array_column($look['aircraft'], null, 'mark')[$mark];
        self::assertSame($rows[$mark]['stop'], $supposed['before']['stop']);
        $was = array_column($aircraft[$mark]['items'], 'date', 'key');
        foreach ($supposed['items'] as $item) {
            self::assertSame($was[$item['key']], $item['before'], "{$mark} {$item['code']}");
        }
        $this->as('ines', 'POST', 'what-if/apply', [...$changes, 'base' => $look['base']])->assertOk();
        self::assertSame($this->rows()[$mark]['stop'], $supposed['after']['stop']);
        $is = array_column($this->as('mika', 'GET', "fleet/{$mark}")->json('items'), 'date', 'key');
        foreach ($supposed['items'] as $item) {
            self::assertSame($is[$item['key']], $item['after'], "{$mark} {$item['code']}");
        }
    }
}
