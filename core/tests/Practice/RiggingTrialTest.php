<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Practice;

use Jorvel\Core\Practice\LinkageFaults;
use Jorvel\Core\Practice\RiggingTrial;
use Jorvel\Core\Practice\SimulatedLinkage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The test bed of rigging: what is learned saves ground runs. The full figures print with `jorvel:bench rig`. */
final class RiggingTrialTest extends TestCase
{
    private const CASES = 40;

    /** @return iterable<string, array{LinkageFaults, float, float}> what is wrong, doubt, share in three */
    public static function worlds(): iterable
    {
        yield 'effects 10 % off' => [new LinkageFaults(book: 0.10), 10.0, 0.98];
        yield 'effects 25 % off' => [new LinkageFaults(book: 0.25), 25.0, 0.86];
        yield 'play and one misreading' => [new LinkageFaults(book: 0.10, play: 1.0, misread: 2), 10.0, 0.85];
        yield 'a screw that slips' => [new LinkageFaults(book: 0.10, slips: 1), 10.0, 0.85];
    }

    #[DataProvider('worlds')]
    public function test_nearly_all_are_within_after_three_runs_and_all_at_last(
        LinkageFaults $faults,
        float $percent,
        float $share,
    ): void {
        $learning = $book = [];
        for ($seed = 1; $seed <= self::CASES; $seed++) {
            $learning[] = RiggingTrial::learning(SimulatedLinkage::seeded($seed, $faults), $percent);
            $book[] = RiggingTrial::book(SimulatedLinkage::seeded($seed, $faults)) ?? RiggingTrial::MOST + 1;
        }
        self::assertNotContains(null, $learning);
        $three = static fn(array $runs): int => count(array_filter($runs, static fn(?int $r): bool => $r <= 3));
        self::assertGreaterThanOrEqual($share * self::CASES, $three($learning));
        // What slips takes one run more, whoever turns: learning is of no use against it.
        if ($faults->slips === null) {
            self::assertGreaterThan(array_sum($learning), array_sum($book), 'the book alone takes more runs');
        }
    }

    public function test_the_same_seed_does_the_same_and_every_fault_shows(): void
    {
        $still = SimulatedLinkage::seeded(3, new LinkageFaults);
        self::assertSame($still->run(), SimulatedLinkage::seeded(3, new LinkageFaults)->run());
        $screw = $still->adjusters[0];
        $point = $still->points[0]->id;
        $moved = static function (LinkageFaults $faults, float ...$turns) use ($screw, $point): float {
            $linkage = SimulatedLinkage::seeded(3, $faults);
            $before = $linkage->truth()[$point];
            foreach ($turns as $turn) {
                $linkage->turn([$screw->id => $turn]);
            }

            return round($linkage->truth()[$point] - $before, 9);
        };
        $effect = $still->book[$screw->id][$point];
        self::assertEqualsWithDelta($effect, $moved(new LinkageFaults, 1.0), 1e-9);
        self::assertEqualsWithDelta(0.0, $moved(new LinkageFaults, 1.0, -1.0), 1e-9);
        self::assertEqualsWithDelta($effect * $screw->step, $moved(new LinkageFaults(play: 1.0), 1.0, -1.0), 1e-9);
        self::assertEqualsWithDelta(0.8 * $effect, $moved(new LinkageFaults(friction: 0.2), 1.0), 1e-9);
        self::assertEqualsWithDelta(1.8 * $effect, $moved(new LinkageFaults(friction: 0.2), 1.0, 1.0), 1e-9);
        $misread = SimulatedLinkage::seeded(3, new LinkageFaults(misread: 1));
        $off = [];
        foreach ($misread->run() as $id => $shown) {
            $noise = array_column($misread->points, 'noise', 'id')[$id];
            $off[] = abs($shown - $misread->truth()[$id]) / $noise;
        }
        self::assertCount(1, array_filter($off, static fn(float $z): bool => $z > 4));
        $slips = SimulatedLinkage::seeded(3, new LinkageFaults(slips: 1));
        $before = $slips->truth();
        $slips->run();
        self::assertSame($before, $slips->truth());
        $slips->run();
        self::assertNotSame($before, $slips->truth());
    }
}
