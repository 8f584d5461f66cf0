<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Visits\Findings;
use Jorvel\Core\Visits\FixWindow;
use Jorvel\Core\Visits\LookHistory;
use Jorvel\Core\Visits\Pack;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\PackVisit;
use Jorvel\Core\Visits\PastLook;
use PHPUnit\Framework\TestCase;

/** What the past says of the next inspection, whether the fix window holds, and a packing laid by hand. */
final class FixWindowTest extends TestCase
{
    public function test_the_past_is_found_again(): void
    {
        // Inspections drawn from a known Gamma of rates and a known lognormal of hours.
        $chance = Chance::seeded(11);
        $looks = [];
        for ($n = 0; $n < 400; $n++) {
            // A sum of four exponentials of mean 0.02 is Gamma(4, 50).
            $rate = array_sum(array_map(static fn(): float => -log(1 - $chance->uniform()) / 50, range(1, 4)));
            $hours = 100.0 + $chance->below(200);
            $found = 0;
            for ($t = -log(1 - $chance->uniform()) / $rate; $t < $hours; $t += -log(1 - $chance->uniform()) / $rate) {
                $found++;
            }
            $looks[] = new PastLook(
                $hours,
                $found,
                array_map(static fn(): float => 3.0 * exp(0.7 * $chance->normal()), range(1, max(1, $found))),
            );
        }
        $history = LookHistory::of($looks);
        self::assertEqualsWithDelta(0.08, $history->shape / $history->rate, 0.005);
        self::assertEqualsWithDelta(50, $history->rate, 12);
        self::assertEqualsWithDelta(3.0, $history->median, 0.1);
        self::assertEqualsWithDelta(0.7, $history->sigma, 0.05);
    }

    public function test_without_spread_it_is_no_surer_than_all_that_was_seen(): void
    {
        $same = LookHistory::of([new PastLook(100, 8, [2.0, 2.0]), new PastLook(100, 8, [])]);
        self::assertSame([16.0, 200.0, 2.0, 0.0], [$same->shape, $same->rate, round($same->median, 9), $same->sigma]);
        $none = LookHistory::of([]);
        self::assertSame([1.0, 12.0, 3.0, 0], [$none->shape, $none->rate, $none->median, $none->looks]);
        $clean = LookHistory::of([new PastLook(40, 0, [])]);
        self::assertSame([1.0, 40.0], [$clean->shape, $clean->rate], 'nothing found so far is no promise');
    }

    public function test_the_chance_rises_with_people_and_falls_with_work(): void
    {
        $window = static fn(float $open, float $there, float $other): FixWindow => new FixWindow(
            Findings::after(8, 100, 60, 7, 90),
            3.0,
            0.7,
            $open,
            $there,
            $other,
        );
        $now = $window(40, 200, 60);
        self::assertEqualsWithDelta(200 * 0.85 - 60, $now->capacity(), 1e-9);
        self::assertEqualsWithDelta(15 * 90 / 160 * 3.0 * exp(0.245), $now->expectedFix(), 1e-9);
        $chance = $now->chance();
        self::assertGreaterThan(0.5, $chance);
        self::assertLessThan(0.999, $chance);
        self::assertGreaterThan($chance, $now->with(40)->chance());
        self::assertGreaterThan($chance, $now->with(0, 15)->chance());
        self::assertLessThan($chance, $window(60, 200, 60)->chance());
        self::assertSame(0.0, $window(40, 100, 80)->chance(), 'the other work alone does not fit');
        self::assertSame($chance, $now->chance(), 'the same seed, the same chance');
    }

    public function test_a_packing_by_hand_is_judged_as_the_search_judges_its_own(): void
    {
        $day = Day::parse(...);
        $items = [
            PackItem::of('a', $day('2026-05-05'), $day('2026-06-01'), 60, 10, ['P']),
            PackItem::of('b', $day('2026-05-05'), $day('2026-05-20'), 30, 5, ['P']),
            PackItem::of('c', $day('2026-06-10'), $day('2026-07-01'), 90, 8),
        ];
        $visits = [
            PackVisit::of('1', $day('2026-05-10'), $day('2026-05-12'), 20),
            PackVisit::of('2', $day('2026-05-25'), $day('2026-05-28'), 12),
        ];
        $own = Pack::into($items, $visits, ['P' => 2.0], 0.1, Deadline::in(500));
        $into = [];
        foreach ($own->visits as $visit) {
            $into += array_fill_keys($visit['items'], $visit['id']);
        }
        $same = Pack::given($items, $visits, ['P' => 2.0], 0.1, $into);
        self::assertTrue($same->holds());
        self::assertEquals([$own->visits, $own->cost], [$same->packing->visits, $same->packing->cost]);
        $bad = Pack::given($items, $visits, ['P' => 2.0], 0.1, ['a' => '2', 'b' => '2', 'c' => '1', 'gone' => '1']);
        self::assertSame(
            [['b' => 'too_late', 'c' => 'too_early'], ['2']],
            [$bad->misfits, $bad->full],
            '17 h do not go into 12',
        );
        self::assertFalse($bad->holds());
        $long = [PackVisit::of('3', $day('2026-06-01'), $day('2026-07-10'), 99)];
        $early = Pack::given($items, $long, ['P' => 2.0], 0.1, ['a' => '3', 'c' => '3']);
        self::assertSame(['c' => 'too_early'], $early->misfits, 'it begins too early, however late it ends');
        self::assertEqualsWithDelta(-5.0, $bad->packing->visits[1]['free_hours'], 1e-9);
    }
}
