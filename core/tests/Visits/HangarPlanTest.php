<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\Plan;
use Jorvel\Core\Visits\PlanCard;
use Jorvel\Core\Visits\PlanProblem;
use Jorvel\Core\Visits\PlanResult;
use PHPUnit\Framework\TestCase;

/** Plans where people come and go, some cards come first, and some are to lie close together. */
final class HangarPlanTest extends TestCase
{
    private const MOST = ['airframe' => 4, 'engine' => 2];

    /** @return array{list<PlanCard>, array<string, list<int>>} cards, and people by slot */
    private static function hangar(int $seed): array
    {
        mt_srand($seed);
        $cards = $there = [];
        foreach (self::MOST as $skill => $most) {
            for ($slot = 0; $slot < 60; $slot++) {
                // Eight slots a shift: full, short, nobody.
                $there[$skill][] = [$most, mt_rand(0, $most), 0][intdiv($slot, 8) % 3];
            }
        }
        for ($c = 0; $c < 14; $c++) {
            $needs = array_filter(['airframe' => mt_rand(0, 3), 'engine' => mt_rand(0, 1)]);
            $after = $c === 0
                ? []
                : array_values(
                    array_unique(array_map(static fn(): int => mt_rand(0, $c - 1), range(1, mt_rand(1, 2)))),
                );
            $cards[] = new PlanCard(
                "c{$c}",
                mt_rand(1, 11),
                $needs,
                mt_rand(0, 2) === 0 ? [] : $after,
                mt_rand(0, 1) === 0 ? 'bay' : null,
                1,
                mt_rand(0, 2) === 0 ? ['power' => ['on', 'off'][mt_rand(0, 1)]] : [],
                mt_rand(0, 4) === 0 ? mt_rand(1, 20) : 0,
                mt_rand(0, 5) === 0,
            );
        }

        return [$cards, $there];
    }

    /**
     * The slots a card is worked in, by the contract's own words: from its beginning, those in which its people are
     * there.
     *
     * @param array<string, list<int>> $there
     *
     * @return non-empty-list<int>
     */
    private static function worked(PlanCard $card, array $there, int $start): array
    {
        $slots = [];
        for ($slot = $start; count($slots) < $card->hours; $slot++) {
            foreach ($card->needs as $skill => $many) {
                if (($there[$skill][$slot] ?? self::MOST[$skill]) < $many) {
                    continue 2;
                }
            }
            $slots[] = $slot;
        }
        assert($slots !== []);

        return $slots;
    }

    /**
     * @param list<PlanCard> $cards
     * @param array<string, list<int>> $there
     */
    private static function assertFeasible(array $cards, array $there, PlanResult $plan, string $what): void
    {
        $used = [];
        foreach ($cards as $c => $card) {
            $slots = self::worked($card, $there, $plan->starts[$c]);
            self::assertSame($plan->starts[$c], $slots[0], "{$what}: {$card->id} begins when its people are there");
            self::assertSame(end($slots) + 1, $plan->end($c), "{$what}: {$card->id} goes on where its people do");
            self::assertGreaterThanOrEqual($card->earliest, $plan->starts[$c]);
            foreach ($card->after as $a) {
                self::assertGreaterThanOrEqual($plan->end($a), $plan->starts[$c], "{$what}: {$card->id} waits");
            }
            foreach ($slots as $slot) {
                foreach ($card->needs as $skill => $many) {
                    $used[$slot][$skill] = ($used[$slot][$skill] ?? 0) + $many;
                }
                $used[$slot]['bay'] = ($used[$slot]['bay'] ?? 0) + ($card->zone === null ? 0 : 1);
                foreach ($card->state as $value) {
                    $used[$slot]['power'][$value] = true;
                }
            }
        }
        foreach ($used as $slot => $at) {
            foreach (self::MOST as $skill => $most) {
                self::assertLessThanOrEqual(
                    $there[$skill][$slot] ?? $most,
                    $at[$skill] ?? 0,
                    "{$what}: {$skill} in slot {$slot}",
                );
            }
            self::assertLessThanOrEqual(2, $at['bay']);
            self::assertLessThanOrEqual(1, count($at['power'] ?? []));
        }
        self::assertGreaterThanOrEqual($plan->lowerBound, $plan->makespan(), "{$what}: the bound is one");
    }

    public function test_plans_on_real_hours_are_feasible_and_first_cards_are_where_they_are_whatever_the_search_does(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            [$cards, $there] = self::hangar($seed);
            $problem = PlanProblem::of($cards, self::MOST, ['bay' => 2], $there);
            $short = Plan::of($problem, Deadline::in(10_000), 1, 3);
            $long = Plan::of($problem, Deadline::in(10_000), 2, 60);
            self::assertFeasible($cards, $there, $short, "seed {$seed}, short");
            self::assertFeasible($cards, $there, $long, "seed {$seed}, long");
            foreach ($cards as $c => $card) {
                self::assertGreaterThanOrEqual(
                    $long->starts[$c],
                    $long->latest[$c],
                    'it could begin later, never sooner',
                );
                if ($card->first) {
                    self::assertSame(
                        $short->starts[$c],
                        $long->starts[$c],
                        "seed {$seed}: {$card->id} comes first in every plan",
                    );
                }
            }
            foreach ($long->critical() as $c) {
                self::assertArrayHasKey($c, $cards);
            }
            self::assertNotEmpty($long->critical());
        }
    }

    public function test_the_same_rounds_give_the_same_plan_and_a_search_can_be_ended(): void
    {
        [$cards, $there] = self::hangar(7);
        $problem = PlanProblem::of($cards, self::MOST, ['bay' => 2], $there);
        self::assertSame(
            Plan::of($problem, Deadline::in(10_000), 5, 40)->starts,
            Plan::of($problem, Deadline::in(10_000), 5, 40)->starts,
        );
        $told = [];
        Plan::of($problem, Deadline::in(10_000), 5, 10_000, static function (int $span, int $bound, int $tried) use (&$told): bool {
            $told[] = $tried;

            return count($told) < 3;
        });
        self::assertSame([16, 32, 48], $told);
    }

    public function test_cards_that_are_to_lie_close_do_so_where_it_lengthens_nothing(): void
    {
        $gained = 0;
        for ($seed = 1; $seed <= 30; $seed++) {
            [$cards, $there] = self::hangar(200 + $seed);
            $problem = PlanProblem::of($cards, self::MOST, ['bay' => 2], $there);
            $close = [2, 5, 9];
            $stretch = static fn(PlanResult $p): int => max(array_map($p->end(...), $close)) - min(array_map(
                static fn(int $c): int => $p->starts[$c],
                $close,
            ));
            $loose = Plan::of($problem, Deadline::in(10_000), 1, 20);
            $tight = Plan::of($problem, Deadline::in(10_000), 1, 20, null, $close);
            self::assertFeasible($cards, $there, $tight, "seed {$seed}");
            self::assertLessThanOrEqual($loose->makespan(), $tight->makespan());
            self::assertLessThanOrEqual($stretch($loose), $stretch($tight));
            $gained += $stretch($loose) - $stretch($tight);
        }
        self::assertGreaterThan(0, $gained);
    }

    public function test_in_order_of_a_plan_nothing_moves(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            [$cards, $there] = self::hangar(400 + $seed);
            $problem = PlanProblem::of($cards, self::MOST, ['bay' => 2], $there);
            $plan = Plan::of($problem, Deadline::in(10_000), 1, 30);
            $again = Plan::inOrder($problem, array_values(array_map(floatval(...), $plan->starts)));
            self::assertFeasible($cards, $there, $again, "seed {$seed}");
            foreach ($again->starts as $c => $start) {
                self::assertLessThanOrEqual($plan->starts[$c], $start, "seed {$seed}: c{$c} moved later");
            }
        }
    }

    /**
     * The shortest plan there is, by placing cards one after another in every order, each at its first slot; an active
     * schedule is among the shortest.
     *
     * @param list<PlanCard> $cards
     * @param array<string, list<int>> $there
     * @param array<int, int> $starts of the cards that are placed
     */
    private static function shortest(array $cards, array $there, array $starts, int $best): int
    {
        if (count($starts) === count($cards)) {
            return min(
                $best,
                max([
                    0,
                    ...array_map(
                        static fn(int $c): int
                            => max(self::worked($cards[$c], $there, $starts[$c])) + 1,
                        array_keys($starts),
                    ),
                ]),
            );
        }
        foreach ($cards as $c => $card) {
            if (isset($starts[$c]) || array_diff($card->after, array_keys($starts)) !== []) {
                continue;
            }
            for ($t = $card->earliest; $t < $best; $t++) {
                if (self::fits($cards, $there, $starts, $c, $t)) {
                    $best = self::shortest($cards, $there, $starts + [$c => $t], $best);
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * @param list<PlanCard> $cards
     * @param array<string, list<int>> $there
     * @param array<int, int> $starts
     */
    private static function fits(array $cards, array $there, array $starts, int $c, int $t): bool
    {
        $slots = self::worked($cards[$c], $there, $t);
        if ($slots[0] !== $t) {
            return false;
        }
        foreach ($cards[$c]->after as $a) {
            if (max(self::worked($cards[$a], $there, $starts[$a])) >= $t) {
                return false;
            }
        }
        foreach ($slots as $slot) {
            $used = $cards[$c]->needs;
            $zone = $cards[$c]->zone === null ? 0 : 1;
            foreach ($starts as $o => $start) {
                if (! in_array($slot, self::worked($cards[$o], $there, $start), true)) {
                    continue;
                }
                foreach ($cards[$o]->needs as $skill => $many) {
                    $used[$skill] = ($used[$skill] ?? 0) + $many;
                }
                $zone += $cards[$o]->zone === null ? 0 : 1;
                if (
                    isset($cards[$c]->state['power'], $cards[$o]->state['power'])
                    && $cards[$c]->state !== $cards[$o]->state
                ) {
                    return false;
                }
            }
            foreach ($used as $skill => $many) {
                if ($many > ($there[$skill][$slot] ?? self::MOST[$skill])) {
                    return false;
                }
            }
            if ($zone > ($cards[$c]->zone === null ? PHP_INT_MAX : 2)) {
                return false;
            }
        }

        return true;
    }

    public function test_small_plans_on_real_hours_are_as_short_as_can_be(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            [$all, $there] = self::hangar(700 + $seed);
            $cards = array_map(
                static fn(PlanCard $c): PlanCard => new PlanCard(
                    $c->id,
                    $c->hours,
                    $c->needs,
                    array_values(array_filter($c->after, static fn(int $a): bool => $a < 5)),
                    $c->zone,
                    1,
                    $c->state,
                    $c->earliest,
                ),
                array_slice($all, 0, 5),
            );
            $plan = Plan::of(PlanProblem::of($cards, self::MOST, ['bay' => 2], $there), Deadline::in(10_000), 1, 120);
            self::assertSame(self::shortest($cards, $there, [], 400), $plan->makespan(), "seed {$seed}");
        }
    }

    public function test_a_card_longer_than_a_shift_is_handed_over(): void
    {
        $card = new PlanCard('long', 5, ['engine' => 1], [], null, 0, [], 0);
        $plan = Plan::of(
            PlanProblem::of([$card], ['engine' => 1], [], ['engine' => [0, 1, 1, 1, 0, 0, 0, 1, 1]]),
            Deadline::in(1000),
        );
        self::assertSame([1, 9], [$plan->starts[0], $plan->makespan()]);
        self::assertSame([0, 1, 1, 1, 0, 0, 0, 1, 1], $plan->use()[0]);
        self::assertSame(9, $plan->lowerBound);
    }

    public function test_a_circle_names_its_cards(): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('wait for each other in a circle: a, b');
        PlanProblem::of(
            [
                new PlanCard('a', 1, [], [1], null, 0, [], 0),
                new PlanCard('b', 1, [], [0], null, 0, [], 0),
                new PlanCard('c', 1, [], [], null, 0, [], 0),
            ],
            [],
            [],
        );
    }
}
