<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Practice\PlantedSeason;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\Season\Season;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonBoard;
use Jorvel\Core\Visits\Season\SeasonDown;
use Jorvel\Core\Visits\Season\SeasonFixed;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;
use Jorvel\Core\Visits\Season\SeasonPeople;
use Jorvel\Core\Visits\Season\SeasonPlan;
use Jorvel\Core\Visits\Season\SeasonResult;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A fleet's visits planned as one: its rules kept, and nothing better to be had where everything can be looked at. */
final class SeasonTest extends TestCase
{
    private const FROM = '2026-05-04';

    /**
     * A small season by chance: two aircraft, two bays with days off, a visit that stands, a bound on who is down, and
     * on the hours of people that the bays share; of every other one bay is a wash place.
     */
    private static function small(int $seed, int $items, int $days): SeasonGiven
    {
        $chance = Chance::seeded($seed);
        $from = Day::parse(self::FROM);
        $list = [];
        for ($i = 0; $i < $items; $i++) {
            $earliest = $chance->below($days) - 2;
            $list[] = SeasonItem::of('A'.$chance->below(2), PackItem::of(
                "i{$i}",
                $from->plusDays($earliest),
                $from->plusDays($earliest + $chance->below($days)),
                20.0 + $chance->below(100),
                1.0 + $chance->below(12),
                $chance->below(2) === 0 ? [] : ['p'.$chance->below(2)],
                1.0 + $chance->below(2),
            ), $chance->below(4) === 0, $chance->below(4) === 0
                ? $from->plusDays($chance->below($days))
                : null, 0.5, wash: $i % 2 === 0);
        }
        $fixed = $chance->below(2) === 0 ? [] : [SeasonFixed::of(
            'F',
            'A0',
            [null, 'X', 'Y'][$chance->below(3)],
            $from->plusDays($chance->below(3) - 1),
            $from->plusDays(2),
            (float) $chance->below(14),
            [null, 4.0][$chance->below(2)],
        )];
        $people = $chance->below(3) === 0 ? [] : [
            SeasonPeople::of(['X', 'Y'], array_combine(range($from->number, $from->number + 4), array_map(
                static fn(int $d): float => 3.0 + $chance->below(9),
                range(0, 4),
            ))),
            SeasonPeople::of(['Y'], [$from->number + 3 => 2.0], 0.5),
        ];

        return SeasonGiven::of($from, $days, $list, ['p0' => 1.5, 'p1' => 0.5], [
            SeasonBay::of('X', 8.0, 1, null, [1, 2, 3, 4, 5]),
            SeasonBay::of('Y', 5.0, 1 + $chance->below(2), $chance->below(2) === 0 ? null : ['A1'], closed: [
                [$from->plusDays(1), $from->plusDays(1 + $chance->below(2))],
            ], outside: $chance->below(2) === 0, wash: $seed % 2 === 0),
        ], $fixed, $chance->below(2) === 0 ? [] : [SeasonDown::of(['A0', 'A1'], 1)], 4.0, 3.0, $chance->below(2) === 0
            ? []
            : ['A0' => [$from->number + 1 => 2.5, $from->number + 3 => 1.0]], $people);
    }

    /**
     * What a plan is worth, judged by the words of its contract alone; null where it keeps not all of them.
     *
     * @param array<string, array{string, int}|string|null> $put by item: a bay and the day it begins; a visit that
     *   stands; or nowhere
     *
     * @return array{int, float, float}|null aircraft that stand, value less, cost
     */
    private static function judged(SeasonGiven $g, array $put): ?array
    {
        $bays = array_column($g->bays, null, 'id');
        $fixed = array_column($g->fixed, null, 'id');
        $visits = $into = $standing = [];
        $value = $cost = 0.0;
        foreach ($g->items as $item) {
            if ($item->is->latest->number > $g->from->number + $g->days - 1) {
                if ($put[$item->is->id] !== null) {
                    return null;
                }

                continue;
            }
            $at = $put[$item->is->id];
            if ($at === null) {
                $standing[$item->aircraft] = true;

                continue;
            }
            $value += $item->is->value;
            $start = is_string($at) ? $fixed[$at]->start : $g->from->plusDays($at[1]);
            if (! $item->is->begins($start)) {
                return null;
            }
            $cost += $item->is->hours * $start->daysUntil($item->is->latest) / $item->is->interval;
            $cost += $item->wish === null ? 0.0 : $item->pull * abs($item->wish->number - $start->number);
            $bay = $bays[is_array($at) ? $at[0] : $fixed[$at]->bay ?? ''] ?? null;
            if ($item->roof && $bay?->outside === true || $bay?->wash === true && ! $item->wash) {
                return null;
            }
            if (is_string($at)) {
                if ($fixed[$at]->aircraft !== $item->aircraft) {
                    return null;
                }
                $into[$at][] = $item;
            } else {
                $visits["{$item->aircraft} {$at[0]} {$at[1]}"][] = $item;
            }
        }
        $hours = static function (array $items) use ($g, &$cost): float {
            $panels = [];
            foreach ($items as $item) {
                $panels += array_flip($item->is->panels);
            }
            $opened = array_sum(array_intersect_key($g->access, $panels));
            $cost += $opened;

            return $opened + array_sum(array_map(static fn(SeasonItem $i): float => $i->is->hours, $items));
        };
        // Hours by bay and day.
        $worked = [];
        $works = static function (array &$to, SeasonFixed $f, float $hours) use ($g, $bays): void {
            for ($d = max($g->from->number, $f->start->number); $d <= $f->end->number; $d++) {
                $day = $bays[$f->bay]->hours(Day::fromNumber($d));
                $to[$d - $g->from->number][$f->bay] = ($to[$d - $g->from->number][$f->bay] ?? 0.0) + min($day, $hours);
                $hours = max(0.0, $hours - $day);
            }
        };
        $days = [];
        foreach ($g->fixed as $f) {
            $more = $hours($into[$f->id] ?? []);
            if ($more > $f->free + 1e-9) {
                return null;
            }
            if ($f->bay !== null) {
                $all = [];
                $works($all, $f, INF);
                $does = $f->hours ?? max(0.0, array_sum(array_map(array_sum(...), $all)) - $f->free);
                $works($worked, $f, $does + $more);
            }
            for ($d = $f->start->number; $d <= $f->end->number; $d++) {
                $days[$d - $g->from->number][] = [$f->aircraft, $f->bay, false];
            }
        }
        foreach ($visits as $key => $items) {
            [$mark, $bay, $start] = explode(' ', $key);
            if (! $bays[$bay]->fits($mark) || $bays[$bay]->hours($g->from->plusDays((int) $start)) <= 0) {
                return null;
            }
            $left = $hours($items);
            $cost += $g->visitWeight;
            $is = $bays[$bay];
            for ($d = (int) $start; ; $d++) {
                if ($d >= $g->days) {
                    return null;
                }
                $days[$d][] = [$mark, $bay, true];
                $cost += $bays[$bay]->wash ? 0.0 : $g->dayWeight + ($g->toll[$mark][$g->from->number + $d] ?? 0.0);
                $day = $is->hours($g->from->plusDays($d));
                $worked[$d][$bay] = ($worked[$d][$bay] ?? 0.0) + min($left, $day);
                $left -= $day;
                if ($left <= 1e-9) {
                    break;
                }
            }
        }
        foreach ($g->people as $of) {
            foreach ($of->hours as $day => $there) {
                $sum = static fn(array $by): float => array_sum(array_intersect_key(
                    $by[$day - $g->from->number] ?? [],
                    array_flip($of->bays),
                ));
                $cost += $of->over * max(0.0, $sum($worked) - $there);
            }
        }
        foreach ($days as $in) {
            $new = array_filter($in, static fn(array $v): bool => $v[2]);
            $marks = array_column($in, 0);
            if ($new !== [] && count($marks) !== count(array_unique($marks))) {
                return null;
            }
            foreach ($new as [$mark, $bay]) {
                if (count(array_keys(array_column($in, 1), $bay, true)) > $bays[$bay]->atOnce) {
                    return null;
                }
                // Outside, work goes on between two days of flying.
                $roofed = array_column(array_filter($in, static fn(array $v): bool
                    => $v[1] === null || ! $bays[$v[1]]->outside), 0);
                foreach ($bays[$bay]->outside ? [] : $g->down as $down) {
                    $is = count(array_intersect($roofed, $down->aircraft));
                    if (in_array($mark, $down->aircraft, true) && $is > $down->most) {
                        return null;
                    }
                }
            }
        }

        return [count($standing), -$value, round($cost, 6)];
    }

    /** @return array<string, array{string, int}|string|null> where a result puts each item */
    private static function put(SeasonGiven $g, SeasonResult $is): array
    {
        $put = array_fill_keys(array_map(static fn(SeasonItem $i): string => $i->is->id, $g->items), null);
        foreach ($is->visits as $v) {
            foreach ($v['items'] as $id) {
                $put[$id] = [$v['bay'], $g->from->daysUntil(Day::parse($v['start']))];
            }
        }
        foreach ($is->fixed as $f) {
            foreach ($f['items'] as $id) {
                $put[$id] = $f['id'];
            }
        }

        return $put;
    }

    public function test_nothing_better_is_to_be_had_where_every_plan_can_be_looked_at(): void
    {
        $left = 0;
        for ($seed = 1; $seed <= 30; $seed++) {
            $g = self::small($seed, 4, 6);
            $best = null;
            $options = array_map(static function (SeasonItem $item) use ($g): array {
                $at = [null];
                foreach ($g->fixed as $f) {
                    $at[] = $f->id;
                }
                foreach ($g->bays as $bay) {
                    for ($d = 0; $d < $g->days; $d++) {
                        if ($item->is->begins($g->from->plusDays($d))) {
                            $at[] = [$bay->id, $d];
                        }
                    }
                }

                return $at;
            }, $g->items);
            $walk = static function (int $n, array $put) use (&$walk, &$best, $g, $options): void {
                if ($n === count($options)) {
                    $worth = self::judged($g, $put);
                    $best = $worth !== null && ($best === null || $worth < $best) ? $worth : $best;

                    return;
                }
                foreach ($options[$n] as $at) {
                    $walk($n + 1, [...$put, $g->items[$n]->is->id => $at]);
                }
            };
            $walk(0, []);
            // On a machine that has much else to do, a moment may be too short.
            foreach ([250, 2000] as $milliseconds) {
                $is = Season::plan($g, $milliseconds, $seed);
                $worth = self::judged($g, self::put($g, $is));
                self::assertNotNull($worth);
                if ($worth === $best) {
                    break;
                }
            }
            self::assertSame($best, $worth, "seed {$seed}");
            self::assertSame([count($is->standing), round($is->cost, 6)], [$worth[0], $worth[2]]);
            self::assertLessThanOrEqual($is->cost + 1e-6, $is->lowerBound);
            $left += count($is->unplaced);
        }
        self::assertGreaterThan(5, $left, 'some could not be placed');
    }

    public function test_what_is_put_in_and_taken_out_again_leaves_nothing_behind(): void
    {
        $stood = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $board = SeasonBoard::of(self::small($seed, 8, 9));
            $chance = Chance::seeded($seed);
            $plan = new SeasonPlan($board);
            $empty = $plan->cost();
            $fill = static function () use ($board, $plan): float {
                foreach (array_keys($board->craft) as $item) {
                    $board->counts[$item] && $plan->insert($item);
                }

                return $plan->cost();
            };
            $full = $fill();
            $stood += count($plan->inFixed);
            foreach ($chance->shuffle(array_keys($board->craft)) as $item) {
                $plan->remove($item);
            }
            self::assertEqualsWithDelta($empty, $plan->cost(), 1e-9, "seed {$seed}");
            self::assertEqualsWithDelta($full, $fill(), 1e-9, "seed {$seed}");
        }
        self::assertGreaterThan(5, $stood, 'some go into visits that stand');
    }

    public function test_a_whole_fleet_keeps_every_rule_and_is_near_the_plan_that_is_known(): void
    {
        $worlds = [[1, 6, 2, 40, 0.9, 0.0], [2, 6, 2, 40, 0.9, 0.0], [3, 18, 4, 90, 1.0, 3.0]];
        foreach ($worlds as [$seed, $craft, $bays, $days, $use, $near]) {
            foreach ([true, false] as $tight) {
                $world = PlantedSeason::seeded($seed, $craft, $bays, $days, $use, $tight);
                foreach ([700, 2000] as $milliseconds) {
                    $is = Season::plan($world->given, $milliseconds, 1);
                    if ($is->standing === [] && (! $tight || 100 * ($is->cost / $world->cost - 1) <= $near)) {
                        break;
                    }
                }
                $worth = self::judged($world->given, self::put($world->given, $is));
                self::assertNotNull($worth);
                self::assertSame([[], 0], [$is->standing, $worth[0]]);
                self::assertEqualsWithDelta($worth[2], $is->cost, 1e-5);
                self::assertLessThanOrEqual($is->cost + 1e-6, $is->lowerBound);
                if ($tight) {
                    self::assertLessThanOrEqual($near, 100 * ($is->cost / $world->cost - 1));
                    self::assertEqualsWithDelta($world->cost, $is->lowerBound, 1e-6, 'that plan is the best there is');
                    self::assertSame($is->proven, abs($is->cost - $world->cost) < 1e-6);
                }
                foreach ($is->visits as $v) {
                    self::assertGreaterThanOrEqual(0.0, $v['free_hours']);
                }
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> a sheet, and some of its answer */
    public static function sheets(): iterable
    {
        $item = static fn(string $id, string $earliest, string $latest, float $hours, array $more = []): array => [
            'id' => $id, 'aircraft' => 'A', 'earliest' => "2026-05-{$earliest}", 'latest' => "2026-05-{$latest}",
            'interval_days' => 100, 'hours' => $hours, ...$more,
        ];
        $sheet = static fn(array $items, array $more = []): array => [
            'from' => self::FROM, 'days' => 14, 'items' => $items, 'access_hours' => ['p' => 2, 'q' => 1],
            'bays' => [['id' => 'N', 'hours_per_day' => 8]], 'budget_ms' => 100, ...$more,
        ];
        yield 'nothing to do' => [$sheet([]), [
            'visits' => [], 'fixed' => [], 'unplaced' => [], 'standing' => [], 'cost' => 0, 'lower_bound' => 0,
            'proven' => true,
        ]];
        yield 'as late as may be, a panel once, over a weekend without work' => [
            $sheet(
                [$item('a', '04', '08', 5, ['access' => ['p']]), $item('b', '04', '09', 6, ['access' => ['p']])],
                ['bays' => [['id' => 'N', 'hours_per_day' => 8, 'weekdays' => [1, 2, 3, 4, 5]]]],
            ),
            ['visits' => [[
                'aircraft' => 'A', 'bay' => 'N', 'start' => '2026-05-07', 'end' => '2026-05-08',
                'items' => ['a', 'b'], 'hours' => 11, 'access_hours' => 2, 'free_hours' => 3,
            ]], 'proven' => false],
        ];
        yield 'later than the span, and nowhere' => [
            $sheet([$item('a', '04', '18', 1), $item('b', '04', '06', 200), $item('c', '05', '06', 1)]),
            ['unplaced' => [['id' => 'a', 'reason' => 'later'], ['id' => 'b', 'reason' => 'no_day_in_window']],
                'standing' => ['A'], 'lower_bound' => 8, 'proven' => true],
        ];
        yield 'no room for both: the one of more value' => [
            $sheet([
                $item('a', '06', '06', 8, ['value' => 1]), $item('b', '06', '06', 8, ['value' => 2, 'aircraft' => 'B']),
            ]),
            ['unplaced' => [['id' => 'a', 'reason' => 'no_room']], 'standing' => ['A'], 'lower_bound' => 0],
        ];
        yield 'into a visit that stands before the span, within its hours' => [
            $sheet([$item('a', '01', '06', 3), $item('b', '01', '05', 3)], ['fixed' => [[
                'id' => 'F', 'aircraft' => 'A', 'start' => '2026-05-02', 'end' => '2026-05-05', 'free_hours' => 4,
            ]]]),
            ['fixed' => [['id' => 'F', 'items' => ['b'], 'free_hours' => 1]], 'visits' => [[
                'aircraft' => 'A', 'bay' => 'N', 'start' => '2026-05-06', 'end' => '2026-05-06', 'items' => ['a'],
                'hours' => 3, 'access_hours' => 0, 'free_hours' => 5,
            ]]],
        ];
        yield 'one at a time may be down, though both bays are free' => [
            $sheet(
                [$item('a', '06', '06', 8), $item('b', '06', '07', 8, ['aircraft' => 'B'])],
                ['bays' => [['id' => 'N', 'hours_per_day' => 8, 'at_once' => 2]], 'down' => [
                    ['aircraft' => ['A', 'B', 'elsewhere'], 'most' => 1],
                ]],
            ),
            ['unplaced' => [], 'visits' => [['start' => '2026-05-06'], ['start' => '2026-05-07']]],
        ];
    }

    /**
     * @param array<string, mixed> $sheet
     * @param array<string, mixed> $expected
     */
    #[DataProvider('sheets')]
    public function test_it_answers_as_its_contract_says(array $sheet, array $expected): void
    {
        $sheet['access_hours'] = (object) $sheet['access_hours'];
        $said = json_decode(Door::compute('season', (string) json_encode($sheet)), true);
        self::assertSame([], self::missing($expected, $said), (string) json_encode($said));
    }

    /**
     * @param array<array-key, mixed> $expected
     *
     * @return list<string> what is expected and not so
     */
    private static function missing(array $expected, mixed $is, string $at = ''): array
    {
        $out = [];
        foreach ($expected as $key => $value) {
            $here = is_array($is) && array_key_exists($key, $is) ? $is[$key] : null;
            $out = is_array($value) && $value !== []
                ? [...$out, ...self::missing($value, $here, "{$at}.{$key}")]
                : ($value === $here ? $out : [...$out, "{$at}.{$key}"]);
            if (is_array($value) && array_is_list($value) && count((array) $here) !== count($value)) {
                $out[] = "{$at}.{$key} has ".count((array) $here);
            }
        }

        return $out;
    }

    /** @return iterable<string, array{string, mixed, string}> where something else is put, and where it is named */
    public static function faults(): iterable
    {
        foreach ([
            ['days', 0, 'days'], ['days', 401, 'days'], ['items.0.interval_days', 0, 'items.0.interval_days'],
            ['items.0.value', 0, 'items.0.value'], ['items.0.hours', -1, 'items.0.hours'],
            ['items.0.latest', '2026-05-01', 'items.0'], ['items.0.access', ['r'], 'items.0.access.0'],
            ['items.1.id', 'a', 'items.1.id'], ['bays.0.hours_per_day', 0, 'bays.0.hours_per_day'],
            ['bays.0.at_once', 0, 'bays.0.at_once'], ['bays.0.weekdays', [1, 8], 'bays.0.weekdays.1'],
            ['bays.0.weekdays', [1, 2, 1], 'bays.0.weekdays.2'], ['bays.0.fits', ['A', 'A'], 'bays.0.fits.1'],
            ['bays.0.closed', [['from' => '2026-05-09', 'to' => '2026-05-08']], 'bays.0.closed.0'],
            ['fixed.0.bay', 'Z', 'fixed.0.bay'], ['fixed.0.free_hours', -1, 'fixed.0.free_hours'],
            ['fixed.0.end', '2026-05-01', 'fixed.0'], ['fixed.1.aircraft', 'A', 'fixed.1'],
            ['fixed.1.bay', 'N', 'fixed.1'], ['down.0.aircraft', ['A', 'B', 'A'], 'down.0.aircraft.2'],
            ['down.0.most', -1, 'down.0.most'], ['weights.day', -1, 'weights.day'],
            ['fixed.0.hours', -1, 'fixed.0.hours'], ['people.0.bays', ['N', 'Z'], 'people.0.bays.1'],
            ['people.0.bays', ['N', 'N'], 'people.0.bays.1'], ['people.0.over', -1, 'people.0.over'],
            ['people.0.hours.0.hours', -1, 'people.0.hours.0.hours'],
            ['people.0.hours.1.date', '2026-05-04', 'people.0.hours.1.date'],
        ] as [$path, $value, $at]) {
            yield "{$path} ".json_encode($value) => [$path, $value, $at];
        }
    }

    #[DataProvider('faults')]
    public function test_what_is_wrong_is_named_by_its_place(string $path, mixed $value, string $at): void
    {
        $item = [
            'aircraft' => 'A', 'earliest' => '2026-05-04', 'latest' => '2026-05-08', 'interval_days' => 9, 'hours' => 1,
        ];
        $sheet = json_decode((string) json_encode([
            'from' => self::FROM, 'days' => 10, 'items' => [['id' => 'a', ...$item], ['id' => 'b', ...$item]],
            'access_hours' => ['p' => 1], 'bays' => [['id' => 'N', 'hours_per_day' => 8]],
            'fixed' => [
                ['id' => 'F', 'aircraft' => 'A', 'bay' => 'N', 'start' => '2026-05-05', 'end' => '2026-05-06',
                    'free_hours' => 0],
                ['id' => 'G', 'aircraft' => 'B', 'start' => '2026-05-06', 'end' => '2026-05-07', 'free_hours' => 0],
            ],
            'down' => [['aircraft' => ['A'], 'most' => 1]], 'weights' => ['day' => 1], 'budget_ms' => 20,
            'people' => [['bays' => ['N'], 'hours' => [
                ['date' => '2026-05-04', 'hours' => 8], ['date' => '2026-05-05', 'hours' => 8],
            ]]],
        ]), false);
        Door::compute('season', (string) json_encode($sheet));
        $keys = explode('.', $path);
        $of = $sheet;
        foreach (array_slice($keys, 0, -1) as $key) {
            $of = is_array($of) ? $of[(int) $key] : $of->{$key};
        }
        $of->{$keys[count($keys) - 1]} = $value;
        try {
            $said = Door::compute('season', (string) json_encode($sheet));
        } catch (InputError $e) {
            self::assertSame($at, $e->path, $e->getMessage());

            return;
        }
        self::fail($said);
    }
}
