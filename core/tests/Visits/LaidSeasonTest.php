<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Practice\PlantedSeason;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\Season\Laid\LaidAgain;
use Jorvel\Core\Visits\Season\Laid\LaidMend;
use Jorvel\Core\Visits\Season\Laid\LaidSeason;
use Jorvel\Core\Visits\Season\Laid\LaidTrouble;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\Season;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonChain;
use Jorvel\Core\Visits\Season\SeasonFixed;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;
use Jorvel\Core\Visits\Season\SeasonPeople;
use Jorvel\Core\Visits\Season\SeasonResult;
use Jorvel\Core\Visits\Season\SeasonTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A season laid by hand is judged as it is planned, and mended with the least change. */
final class LaidSeasonTest extends TestCase
{
    private const FROM = '2026-05-04';

    private static function day(int $n): Day
    {
        return Day::parse(self::FROM)->plusDays($n);
    }

    /** Four items of two aircraft, one that comes again, in a bay that rests at weekends and a place outside. */
    private static function given(): SeasonGiven
    {
        $item = static fn(string $id, string $mark, int $latest, float $h, bool $roof = false, ?string $after = null)
            => SeasonItem::of(
                $mark,
                PackItem::of($id, self::day($id === 'c' ? 3 : 0), self::day($latest), 20.0, $h, ['p']),
                $roof,
                after: $after,
                grace: $id === 'c' ? 2 : 0,
                wash: $id === 'c',
            );

        return SeasonGiven::of(self::day(0), 40, [
            $item('a', 'A', 6, 8.0, true), $item('a2', 'A', 26, 8.0, true, 'a'), $item('b', 'A', 10, 4.0),
            $item('c', 'B', 12, 6.0),
        ], ['p' => 1.0], [
            SeasonBay::of('X', 8.0, 1, null, [1, 2, 3, 4, 5]), SeasonBay::of('Y', 8.0, 2, ['A', 'B'], outside: true),
            SeasonBay::of('W', 7.0, 4, wash: true),
        ], [], [], 4.0, 4.0, ['A' => [self::day(1)->number => 3.0]]);
    }

    private static function visit(
        string $id,
        string $mark,
        string $bay,
        int $from,
        int $to,
        string ...$items,
    ): LaidVisit {
        return LaidVisit::of($id, $mark, $bay, self::day($from), self::day($to), array_values($items));
    }

    /** @return iterable<string, array{list<LaidVisit>, array<string, list<string>>}> with what is wrong, by visit */
    public static function laid(): iterable
    {
        $v = self::visit(...);
        yield 'within a tolerance' => [[$v('v1', 'B', 'X', 14, 14, 'c')], []];
        yield 'beyond a tolerance' => [[$v('v1', 'B', 'X', 15, 15, 'c')], ['v1' => ['late c 2026-05-18']]];
        yield 'it holds' => [[$v('v1', 'A', 'X', 0, 1, 'a', 'b'), $v('v2', 'B', 'Y', 3, 3, 'c')], []];
        yield 'too late for one' => [[$v('v1', 'A', 'X', 7, 8, 'a', 'b')], ['v1' => ['late a 2026-05-10']]];
        yield 'too early' => [[$v('v1', 'B', 'X', 1, 1, 'c')], ['v1' => ['early c 2026-05-07']]];
        yield 'a day too short' => [[$v('v1', 'A', 'X', 0, 0, 'a', 'b')], ['v1' => ['short 2026-05-04']]];
        yield 'over a weekend it is not worked' => [
            [$v('v1', 'A', 'X', 4, 6, 'a', 'b')], ['v1' => ['short 2026-05-10']],
        ];
        yield 'begun on a day off' => [[$v('v1', 'A', 'X', 5, 8, 'a', 'b')], ['v1' => ['closed 2026-05-09']]];
        yield 'a roof' => [[$v('v1', 'A', 'Y', 0, 1, 'a', 'b')], ['v1' => ['outside a']]];
        yield 'two of one aircraft' => [
            [$v('v1', 'A', 'X', 0, 2, 'a'), $v('v2', 'A', 'Y', 2, 3, 'b')],
            ['v1' => ['twice 2026-05-06 v2'], 'v2' => ['twice 2026-05-06 v1']],
        ];
        yield 'one place' => [
            [$v('v1', 'A', 'X', 1, 3, 'a'), $v('v2', 'B', 'X', 3, 4, 'c')],
            ['v1' => ['full 2026-05-07 v2'], 'v2' => ['full 2026-05-07 v1']],
        ];
        yield 'a wash place is for washes' => [[$v('v1', 'A', 'W', 0, 0, 'b')], ['v1' => ['dry b']]];
        yield 'also of what no item is' => [
            [LaidVisit::of('v1', 'A', 'W', self::day(0), self::day(0), [], 1.0)], ['v1' => ['dry']],
        ];
        yield 'a wash at its place, beside flying' => [[$v('v1', 'B', 'W', 3, 3, 'c')], []];
        yield 'two places' => [[$v('v1', 'A', 'Y', 3, 3, 'b'), $v('v2', 'B', 'Y', 3, 3, 'c')], []];
        yield 'what comes again after what was done early' => [
            [$v('v1', 'A', 'X', 0, 1, 'a'), $v('v2', 'A', 'X', 21, 22, 'a2')], ['v2' => ['late a2 2026-05-24']],
        ];
        yield 'in time again' => [[$v('v1', 'A', 'X', 1, 2, 'a'), $v('v2', 'A', 'X', 21, 22, 'a2')], []];
    }

    /**
     * @param list<LaidVisit> $visits
     * @param array<string, list<string>> $wrong
     */
    #[DataProvider('laid')]
    public function test_what_cannot_be_is_said_of_the_visit(array $visits, array $wrong): void
    {
        $said = array_map(static fn(array $of): array => array_map(
            static fn(LaidTrouble $t): string => implode(' ', array_filter([
                $t->kind->value, $t->item, $t->day === null ? null : (string) $t->day, $t->other,
            ])),
            $of,
        ), LaidSeason::judge(self::given(), $visits)->troubles);
        self::assertEquals($wrong, $said);
    }

    public function test_a_laid_season_tells_its_hours_its_cost_and_what_is_left(): void
    {
        $is = LaidSeason::judge(self::given(), [self::visit('v1', 'A', 'X', 1, 2, 'a', 'b')]);
        self::assertSame(['v1' => 13.0], $is->hours);
        self::assertSame(['v1' => 3.0], $is->free);
        self::assertSame(['a2', 'c'], $is->open);
        self::assertSame(['A', 'B'], $is->standing);
        self::assertSame([self::day(1)->number => 8.0, self::day(2)->number => 5.0], $is->worked['X']);
        // A panel, a visit, two days, a day's flying; 8 h five days and 4 h nine days early of twenty.
        self::assertEqualsWithDelta(1 + 4 + 8 + 3 + 8 * 5 / 20 + 4 * 9 / 20, $is->cost, 1e-9);
        self::assertSame([14, 2], [$is->early, $is->days]);
        self::assertSame([1, 0], [$is->down(['A', 'B'], self::day(2)->number), $is->down(['B'], self::day(2)->number)]);
        // A wash costs no day of the aircraft: a visit, its panel is open for it alone, and nine days early of twenty.
        $wash = LaidSeason::judge(self::given(), [self::visit('v1', 'B', 'W', 3, 3, 'c')]);
        self::assertSame([], $wash->troubles);
        self::assertEqualsWithDelta(4 + 1 + 6 * 9 / 20, $wash->cost, 1e-9);
        self::assertSame([0, 0], [$wash->days, $wash->down(['B'], self::day(3)->number)]);
        $stands = LaidVisit::of('w', 'B', 'X', self::day(-3), self::day(4), [], 20.0, stands: true);
        $beside = LaidSeason::judge(self::given(), [$stands, self::visit('v1', 'A', 'X', 1, 2, 'a', 'b')]);
        self::assertSame(
            ['v1'],
            array_map(strval(...), array_keys($beside->troubles)),
            'what stands is never to blame',
        );
    }

    /** @return iterable<string, array{list<LaidVisit>, string}> */
    public static function faults(): iterable
    {
        $v = self::visit(...);
        yield 'a bay' => [[$v('v1', 'A', 'Z', 0, 1)], 'visits.0.bay'];
        yield 'an item' => [[$v('v1', 'A', 'X', 0, 1, 'z')], 'visits.0.items.0'];
        yield 'of another aircraft' => [[$v('v1', 'B', 'X', 0, 1, 'c', 'a')], 'visits.0.items.1'];
        yield 'in two visits' => [
            [$v('v1', 'A', 'X', 0, 1, 'a'), $v('v2', 'A', 'X', 3, 4, 'b', 'a')], 'visits.1.items.1',
        ];
    }

    /** @param list<LaidVisit> $visits */
    #[DataProvider('faults')]
    public function test_what_is_not_known_is_refused_at_its_place(array $visits, string $place): void
    {
        try {
            LaidSeason::judge(self::given(), $visits);
            self::fail('taken');
        } catch (InputError $e) {
            self::assertSame($place, $e->path);
        }
    }

    /** @return list<LaidVisit> */
    private static function asLaid(SeasonResult $plan): array
    {
        return array_map(static fn(array $v, int $n): LaidVisit => LaidVisit::of(
            "v{$n}",
            $v['aircraft'],
            $v['bay'],
            Day::parse($v['start']),
            Day::parse($v['end']),
            $v['items'],
        ), $plan->visits, array_keys($plan->visits));
    }

    /** The same with people whom its bays share: on most days for one bay and a half, on others for one. */
    private static function shared(SeasonGiven $g): SeasonGiven
    {
        $hours = [];
        for ($d = 0; $d < $g->days; $d++) {
            $hours[$g->from->number + $d] = $g->bays[0]->hoursPerDay * ($d % 5 === 0 ? 1.0 : 1.5);
        }
        $people = [
            SeasonPeople::of(array_column($g->bays, 'id'), $hours, 1.5),
            SeasonPeople::of([$g->bays[1]->id], array_slice($hours, 0, 20, true), 0.5),
        ];

        return SeasonGiven::of(
            $g->from,
            $g->days,
            $g->items,
            $g->access,
            $g->bays,
            $g->fixed,
            $g->down,
            $g->dayWeight,
            $g->visitWeight,
            $g->toll,
            $people,
        );
    }

    public function test_a_planned_season_is_judged_as_it_was_planned(): void
    {
        $short = 0;
        foreach (range(1, 12) as $seed) {
            $given = self::shared(PlantedSeason::seeded($seed, 4 + $seed % 3, 2, 40, 0.8)->given);
            $plan = Season::plan($given, 80, $seed);
            $is = LaidSeason::judge($given, self::asLaid($plan));
            self::assertSame([], $is->troubles, "seed {$seed}");
            $short += count($is->short(array_column($given->bays, 'id'), $given->people[0]->hours));
            self::assertEqualsWithDelta($plan->cost, $is->cost, 1e-6);
            self::assertEqualsCanonicalizing($plan->standing, $is->standing);
            foreach ($plan->visits as $n => $visit) {
                self::assertEqualsWithDelta($visit['free_hours'], $is->free["v{$n}"], 1e-6);
            }
        }
        self::assertGreaterThan(0, $short, 'some days have too few people');
    }

    /** Aircraft whose items come again and again. */
    private static function again(int $seed): SeasonGiven
    {
        $chance = Chance::seeded($seed);
        $items = [];
        foreach (['A', 'B', 'C'] as $mark) {
            for ($i = 0; $i < 4; $i++) {
                $every = 15 + $chance->below(20);
                $first = $chance->below($every);
                for ($n = 0, $after = null; $first + $n * $every < 90; $n++) {
                    $id = "{$mark}{$i}/{$n}";
                    $items[] = SeasonItem::of($mark, PackItem::of(
                        $id,
                        self::day($n === 0 ? 0 : $first + $n * $every - intdiv($every, 2)),
                        self::day($first + $n * $every),
                        (float) $every,
                        1.0 + $chance->below(4),
                    ), after: $after);
                    $after = $id;
                }
            }
        }

        return SeasonGiven::of(self::day(0), 90, $items, [], [
            SeasonBay::of('X', 8.0, 1, null, [1, 2, 3, 4, 5]), SeasonBay::of('Y', 6.0),
        ]);
    }

    public function test_what_is_done_early_comes_again_early(): void
    {
        foreach ([1, 2, 3, 4] as $seed) {
            $given = self::again($seed);
            $plan = SeasonChain::plan($given, 300, $seed);
            $visits = self::asLaid($plan);
            $start = [];
            foreach ($visits as $visit) {
                $start += array_fill_keys($visit->items, $visit->start->number);
            }
            $pairs = 0;
            foreach ($given->items as $item) {
                if (isset($start[$item->is->id], $start[$item->after ?? ''])) {
                    $apart = $start[$item->is->id] - $start[$item->after];
                    self::assertGreaterThan(0, $apart, $item->is->id);
                    self::assertLessThanOrEqual($item->is->interval, $apart, $item->is->id);
                    $pairs++;
                }
            }
            self::assertGreaterThan(10, $pairs);
            self::assertSame([], $plan->standing, "seed {$seed}");
            self::assertSame([], LaidSeason::judge($given, $visits)->troubles, "seed {$seed}");
        }
    }

    /** @return iterable<string, array{int, int, int, list<string>}> due, grace, visits that it is in, times */
    public static function comes(): iterable
    {
        yield 'as often as it can, and once beyond' => [5, 2, 0, ['0 5 +2', '1 25', '2 45']];
        yield 'beyond' => [41, 0, 0, []];
        yield 'as often as it is in visits' => [5, 0, 4, ['0 5', '1 25', '2 45', '3 65']];
        yield 'in a visit beyond' => [41, 3, 1, ['0 41 +3']];
    }

    /** @param list<string> $times */
    #[DataProvider('comes')]
    public function test_an_item_comes_as_often_as_the_span_holds(int $due, int $grace, int $in, array $times): void
    {
        self::assertSame($times, array_map(
            static fn(SeasonTime $t): string => trim(
                "{$t->n} ".self::day(0)->daysUntil($t->latest).($t->grace > 0 ? " +{$t->grace}" : ''),
            ),
            SeasonTime::all(self::day($due), $grace, 20, $in, self::day(40)),
        ));
    }

    /** What has lost its visit is planned again between what stays: nothing that is kept is brought forward by it. */
    public function test_what_is_left_is_planned_around_what_stays(): void
    {
        $planned = 0;
        foreach (range(1, 8) as $seed) {
            $given = self::again(1 + $seed % 4);
            $chance = Chance::seeded($seed);
            $stay = array_values(array_filter(
                self::asLaid(SeasonChain::plan($given, 200, 1)),
                static fn(LaidVisit $v): bool => $chance->below(3) > 0,
            ));
            $judged = LaidSeason::judge($given, $stay);
            self::assertSame([], $judged->troubles);
            $fixed = array_map(static fn(LaidVisit $v): SeasonFixed => $v->standing($judged), $stay);
            $plan = SeasonChain::plan($given->with($judged->left, $fixed), 200, $seed);
            $more = array_column($plan->fixed, 'items', 'id');
            $after = [
                ...array_map(
                    static fn(LaidVisit $v): LaidVisit => $v->holding([...$v->items, ...$more[$v->id]]),
                    $stay,
                ),
                ...array_map(static fn(LaidVisit $v): LaidVisit => LaidVisit::of(
                    "n{$v->id}",
                    $v->aircraft,
                    $v->bay,
                    $v->start,
                    $v->end,
                    $v->items,
                ), self::asLaid($plan)),
            ];
            self::assertSame([], LaidSeason::judge($given, $after)->troubles, "seed {$seed}");
            $planned += count($plan->visits);
        }
        self::assertGreaterThan(20, $planned);
    }

    public function test_a_search_tells_how_far_it_is_and_can_be_ended(): void
    {
        $shares = [];
        $begun = hrtime(true);
        SeasonChain::plan(self::again(1), 20_000, 1, static function (float $share) use (&$shares): bool {
            $shares[] = $share;

            return count($shares) < 5;
        });
        self::assertLessThan(10.0, (hrtime(true) - $begun) / 1e9, 'it ends when it is told to');
        self::assertSame($shares, array_filter($shares, static fn(float $s): bool => $s >= 0.0 && $s <= 1.0));
    }

    /** A bay that closes, in a season that held: only what stood in it, or is in the way of that, moves. */
    public function test_what_no_longer_holds_is_mended_and_the_rest_stays(): void
    {
        $mended = $worlds = 0;
        foreach (range(1, 8) as $seed) {
            $was = PlantedSeason::seeded($seed, 6, 3, 60, 0.35)->given;
            $visits = self::asLaid(Season::plan($was, 150, $seed));
            $shut = [self::day(20), self::day(26)];
            $bays = $was->bays;
            $first = $bays[0];
            $bays[0] = SeasonBay::of($first->id, $first->hoursPerDay, $first->atOnce, closed: [$shut]);
            $now = SeasonGiven::of($was->from, $was->days, $was->items, $was->access, $bays, [], [], 4.0, 4.0);
            $before = LaidSeason::judge($now, $visits);
            $after = LaidMend::of($now, $visits, [], 100);
            $judged = LaidSeason::judge($now, $after);
            self::assertSame([], $judged->troubles, "seed {$seed}");
            $by = array_column($after, null, 'id');
            foreach ($visits as $visit) {
                if (! isset($before->troubles[$visit->id])) {
                    self::assertTrue(
                        isset($by[$visit->id]) && $by[$visit->id]->same($visit),
                        "seed {$seed} {$visit->id}",
                    );
                    self::assertSame([], array_diff($visit->items, $by[$visit->id]->items));
                }
            }
            $worlds += $before->troubles === [] ? 0 : 1;
            $mended += $before->troubles !== [] && array_diff($judged->open, $before->open) === [] ? 1 : 0;
        }
        self::assertGreaterThan(4, $worlds, 'the bay was in use');
        self::assertGreaterThanOrEqual($worlds - 1, $mended, 'and everything has a place again');
    }

    /** What is brought forward by what moved is mended too, in a season where everything comes again. */
    public function test_a_chain_is_mended_to_its_end(): void
    {
        $held = 0;
        foreach ([1, 2, 3, 4, 5, 6] as $seed) {
            $given = self::again($seed);
            $visits = self::asLaid(SeasonChain::plan($given, 200, $seed));
            $down = LaidVisit::of('down', 'B', 'X', self::day(14), self::day(24), [], 60.0);
            $after = LaidMend::of($given, [...$visits, $down], ['down'], 80);
            $judged = LaidSeason::judge($given, $after);
            self::assertSame([], $judged->troubles, "seed {$seed}");
            $held += $judged->open === [] ? 1 : 0;
            self::assertTrue(array_column($after, null, 'id')['down']->same($down));
        }
        self::assertGreaterThan(0, $held);
    }

    public function test_an_aircraft_that_breaks_down_takes_its_place_and_others_make_room(): void
    {
        $given = self::given();
        $down = LaidVisit::of('down', 'B', 'X', self::day(0), self::day(4), [], 30.0);
        $visits = [self::visit('v1', 'A', 'X', 1, 2, 'a', 'b'), self::visit('v2', 'B', 'Y', 4, 4, 'c'), $down];
        $after = LaidMend::of($given, $visits, ['down'], 50);
        self::assertSame([], LaidSeason::judge($given, $after)->troubles);
        $by = array_column($after, null, 'id');
        self::assertTrue($by['down']->same($down), 'what is pinned stays');
        self::assertSame('2026-05-09', (string) $by['v2']->start, 'to the nearest day that it can have');
    }

    /**
     * A visit whose cards take longer than its days.
     *
     * @return iterable<string, array{list<LaidVisit>, list<string>, string}> visits, pinned, where the first is then
     */
    public static function overrunning(): iterable
    {
        $v = static fn(string $bay, int $from, int $to, int $takes, bool $stands = false): LaidVisit => LaidVisit::of(
            'v1',
            'A',
            $bay,
            self::day($from),
            self::day($to),
            ['b'],
            stands: $stands,
            takes: $takes,
        );
        $next = self::visit('v2', 'B', 'X', 3, 3, 'c');
        yield 'long enough' => [[$v('X', 0, 1, 2)], [], 'X 2026-05-04 2026-05-05'];
        yield 'longer where it is' => [[$v('X', 0, 1, 3), $next], [], 'X 2026-05-04 2026-05-06'];
        yield 'no room behind it, so a day later in another place' => [
            [$v('X', 1, 1, 3), $next], [], 'Y 2026-05-05 2026-05-07',
        ];
        yield 'its own bay near by before any other, and not on a day that has begun' => [
            [$v('X', 1, 1, 3), $next, self::visit('v3', 'A', 'Y', 3, 3)], [], 'X 2026-05-08 2026-05-10',
        ];
        yield 'pinned, it stays as it is' => [[$v('X', 1, 1, 3), $next], ['v1'], 'X 2026-05-05 2026-05-05'];
        yield 'pinned, it may be longer' => [[$v('X', 0, 0, 3), $next], ['v1'], 'X 2026-05-04 2026-05-06'];
        yield 'in work, it is not the season that says' => [[$v('X', 0, 0, 3, true)], [], 'X 2026-05-04 2026-05-04'];
    }

    /**
     * @param list<LaidVisit> $visits
     * @param list<string> $pinned
     */
    #[DataProvider('overrunning')]
    public function test_a_visit_whose_cards_take_longer_is_made_longer(
        array $visits,
        array $pinned,
        string $where,
    ): void {
        $after = LaidMend::of(self::given(), $visits, $pinned, 50);
        self::assertSame($where, "{$after[0]->bay} {$after[0]->start} {$after[0]->end}");
        self::assertEquals(array_slice($visits, 1), array_slice($after, 1), 'nothing else moves');
        self::assertSame([], LaidSeason::judge(self::given(), $after)->troubles);
        self::assertNull($after[0]->holding([])->overruns(), 'with other items nobody knows how long it takes');
    }

    public function test_what_is_planned_anew_is_what_it_was_where_most_is_in_common(): void
    {
        $is = static fn(string $mark, int $day, string ...$items): array => [
            'aircraft' => $mark, 'start' => (string) self::day($day), 'items' => array_values($items),
        ];
        $were = [
            self::visit('v1', 'A', 'X', 0, 1, 'a', 'b', 'c'), self::visit('v2', 'A', 'X', 4, 4, 'd'),
            self::visit('v3', 'B', 'X', 6, 6, 'e'), self::visit('v4', 'B', 'X', 9, 9, 'f'),
        ];
        self::assertSame([0 => 'v1', 1 => 'v2', 4 => 'v3'], self::sorted(LaidAgain::of($were, [
            $is('A', 8, 'a', 'b'), $is('A', 2, 'c', 'd'), $is('A', 3, 'x'), $is('A', 6, 'e'), $is('B', 7, 'e', 'f'),
        ])));
        self::assertSame([1 => 'v3'], LaidAgain::of($were, [$is('B', 7, 'x'), $is('B', 6, 'e')]));
    }

    /**
     * @param array<int, string> $ids
     *
     * @return array<int, string>
     */
    private static function sorted(array $ids): array
    {
        ksort($ids);

        return $ids;
    }

    public function test_days_on_which_bays_together_are_short_of_people(): void
    {
        $judged = LaidSeason::judge(self::given(), [
            self::visit('v1', 'A', 'X', 3, 3, 'b'), self::visit('v2', 'B', 'Y', 3, 4, 'c'),
        ]);
        $day = self::day(3)->number;
        $worked = $judged->worked['X'][$day] + $judged->worked['Y'][$day];
        self::assertSame([], $judged->short(['X', 'Y'], [$day => $worked, $day + 1 => 8.0]));
        self::assertSame([$day => $worked], $judged->short(['X', 'Y'], [$day => $worked - 0.5, $day + 1 => 8.0]));
        self::assertSame([], $judged->short(['X'], [$day => $judged->worked['X'][$day]]));
    }
}
