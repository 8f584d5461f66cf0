<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Eris\Generators;
use Eris\TestTrait;
use Jorvel\Core\Fleet\Stagger;
use Jorvel\Core\Fleet\StaggerAircraft;
use Jorvel\Core\Fleet\StaggerLine;
use Jorvel\Core\Fleet\StaggerResult;
use PHPUnit\Framework\TestCase;

final class StaggerTest extends TestCase
{
    use TestTrait;

    private const INTERVAL = 100.0;

    public function test_the_line_runs_from_full_to_nought(): void
    {
        $line = StaggerLine::through(['a' => 100.0, 'b' => 60.0, 'c' => 50.0, 'd' => 0.0], self::INTERVAL);
        self::assertSame([87.5, 62.5, 37.5, 12.5], array_column($line->places, 2));
        self::assertEqualsWithDelta(sqrt((12.5 ** 2 + 2.5 ** 2 + 12.5 ** 2 + 12.5 ** 2) / 4), $line->spread(), 1e-12);
        self::assertSame(0.0, StaggerLine::through([], self::INTERVAL)->spread());
    }

    /**
     * A small fleet from a seed: some stand, some have a phase planned.
     *
     * @return array{list<StaggerAircraft>, list<float>}
     */
    private static function fleet(int $seed, int $many, int $weeks, float $step, float $most): array
    {
        mt_srand($seed);
        $fleet = [];
        for ($i = 0; $i < $many; $i++) {
            $first = mt_rand(0, 2) === 0 ? mt_rand(0, $weeks - 1) : null;
            $least = mt_rand(0, 3) === 0 ? $step : 0.0;
            $fleet[] = StaggerAircraft::of(
                "q{$i}",
                mt_rand(-5, 100) + mt_rand(0, 9) / 10,
                $most,
                $least,
                mt_rand(0, 4) === 0 ? [mt_rand(0, $weeks - 1)] : [],
                $first,
                $first === null ? null : $first + mt_rand(0, 1),
            );
        }
        $tasks = [];
        for ($w = 0; $w < $weeks; $w++) {
            $tasks[] = $step * mt_rand($many, 2 * $many);
        }

        return [$fleet, $tasks];
    }

    public function test_no_aircraft_runs_into_its_phase_and_no_week_flies_more_than_its_task(): void
    {
        $this->limitTo(150)->forAll(Generators::choose(1, 100_000), Generators::choose(2, 9), Generators::choose(1, 7))
            ->then(function (int $seed, int $many, int $weeks): void {
                [$fleet, $tasks] = self::fleet($seed, $many, $weeks, 2.5, 20.0);
                $margin = (float) ($seed % 4);
                $result = Stagger::propose($fleet, $tasks, self::INTERVAL, $margin, 2.5);
                foreach ($fleet as $craft) {
                    $left = $craft->left;
                    foreach ($result->hours[$craft->id] as $week => $hours) {
                        self::assertGreaterThanOrEqual(0, $hours);
                        self::assertLessThanOrEqual(
                            $craft->flies($week) ? $craft->most : 0.0,
                            $hours,
                            'what it can fly in a week',
                        );
                        $left = $craft->phaseLast === $week ? self::INTERVAL : $left - $hours;
                        self::assertTrue(
                            $hours === 0.0 || $left >= $margin - 1e-9,
                            "{$craft->id} keeps its margin in week {$week}",
                        );
                    }
                }
                foreach ($tasks as $week => $task) {
                    self::assertEqualsWithDelta(
                        $task,
                        array_sum(array_column($result->hours, $week)) + $result->short[$week],
                        1e-9,
                        'every hour of the task is flown or said to be short',
                    );
                }
            });
    }

    public function test_it_is_the_best_of_all_ways_to_fly_the_task(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            [$fleet, $tasks] = self::fleet($seed, 3, 2, 10.0, 20.0);
            $result = Stagger::propose($fleet, $tasks, self::INTERVAL, 0.0, 10.0);
            [$flown, $cost] = self::bestOfAll($fleet, $tasks);
            self::assertEqualsWithDelta(
                $flown,
                array_sum($tasks) - array_sum($result->short),
                1e-9,
                "seed {$seed}: as much of the task as can be",
            );
            self::assertEqualsWithDelta(
                $cost,
                self::cost($fleet, $result->hours, $result),
                1e-6,
                "seed {$seed}: the least sum of squares",
            );
        }
    }

    /**
     * Tries every way there is.
     *
     * @param list<StaggerAircraft> $fleet
     * @param list<float> $tasks
     *
     * @return array{float, float} the most hours, and the lowest cost among those
     */
    private static function bestOfAll(array $fleet, array $tasks): array
    {
        $best = [-1.0, INF];
        $cells = [];
        foreach ($fleet as $craft) {
            foreach (array_keys($tasks) as $week) {
                $cells[] = [$craft, $week];
            }
        }
        $result = Stagger::propose($fleet, $tasks, self::INTERVAL, 0.0, 10.0);
        for ($n = 0, $all = 3 ** count($cells); $n < $all; $n++) {
            $hours = [];
            foreach ($cells as $i => [$craft, $week]) {
                $hours[$craft->id][$week] = 10.0 * (intdiv($n, 3 ** $i) % 3);
            }
            $cost = self::allowed($fleet, $tasks, $hours) ? self::cost($fleet, $hours, $result) : null;
            if ($cost !== null) {
                $sum = array_sum(array_map(array_sum(...), $hours));
                $best = $sum > $best[0] ? [$sum, $cost] : ($sum === $best[0] ? [$sum, min($best[1], $cost)] : $best);
            }
        }

        return $best;
    }

    /**
     * @param list<StaggerAircraft> $fleet
     * @param list<float> $tasks
     * @param array<array-key, array<int, float>> $hours
     */
    private static function allowed(array $fleet, array $tasks, array $hours): bool
    {
        foreach ($tasks as $week => $task) {
            if (array_sum(array_column($hours, $week)) > $task) {
                return false;
            }
        }
        foreach ($fleet as $craft) {
            // Before its phase it has what is left, after it the whole interval; the least is owed week by week while
            // that lasts.
            $left = $owed = max(0.0, $craft->left);
            foreach ($hours[$craft->id] as $week => $flown) {
                if ($craft->phaseLast !== null && $week === $craft->phaseLast + 1) {
                    $left = $owed = self::INTERVAL;
                }
                $least = $craft->flies($week) ? min($craft->least, floor($owed / 10) * 10) : 0.0;
                if ($flown < $least || $flown > $left || ($flown > 0 && ! $craft->flies($week))) {
                    return false;
                }
                $left -= $flown;
                $owed -= $least;
            }
        }

        return true;
    }

    /**
     * The squares of what each leg flies beside what it wants, by the contract's own words.
     *
     * @param list<StaggerAircraft> $fleet
     * @param array<array-key, array<int, float>> $hours
     */
    private static function cost(array $fleet, array $hours, StaggerResult $result): float
    {
        $target = array_column($result->then->places, 2, 0);
        $cost = 0.0;
        foreach ($fleet as $craft) {
            $flown = $hours[$craft->id];
            if ($craft->phaseFirst === null) {
                $cost += (array_sum($flown) - ($craft->left - $target[$craft->id])) ** 2;

                continue;
            }
            $before = array_sum(
                array_filter($flown, static fn(int $w): bool => $w < $craft->phaseFirst, ARRAY_FILTER_USE_KEY),
            );
            $cost += ($before - max(0.0, $craft->left)) ** 2 + (
                array_sum($flown) - $before - (self::INTERVAL - $target[$craft->id])
            ) ** 2;
        }

        return $cost;
    }

    public function test_a_fleet_off_its_line_comes_back_onto_it(): void
    {
        $fleet = array_map(
            static fn(string $id, float $left): StaggerAircraft => StaggerAircraft::of($id, $left, 40.0),
            ['a', 'b', 'c', 'd', 'e'],
            [100.0, 98.0, 60.0, 40.0, 30.0],
        );
        $result = Stagger::propose($fleet, [20.0, 20.0, 20.0], self::INTERVAL, 0.0, 0.5);
        self::assertGreaterThan(12, $result->now->spread());
        self::assertLessThan($result->now->spread() / 2, $result->then->spread());
        self::assertSame([0.0, 0.0, 0.0], $result->short);
        [$first, $second, $third] = $result->hours['b'];
        self::assertLessThanOrEqual(
            1.0,
            max($first, $second, $third) - min($first, $second, $third),
            'even from week to week',
        );
    }
}
