<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Bench\Rigging\Buckles;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Bench\Rigging\Washer;
use Jorvel\Core\Library\RigRefs;
use Jorvel\Core\Practice\LinkageFaults;
use Jorvel\Core\Practice\SimulatedLinkage;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is counted at a linkage, threads and serrations, and what is foretold of any turns. */
final class CountedTest extends TestCase
{
    public function test_buckles_reach_as_far_as_their_threads_and_no_further(): void
    {
        $chance = Chance::seeded(11);
        for ($n = 0; $n < 300; $n++) {
            $ends = array_map(static fn(): float => (float) $chance->below(6), range(0, 3));
            $most = (float) $chance->below(5);
            $is = Buckles::showing([$ends[0], $ends[1]], [$ends[2], $ends[3]], $most);
            [$low, $high] = $is->reach();
            self::assertLessThanOrEqual(0.0, $low);
            self::assertGreaterThanOrEqual(0.0, $high);
            foreach ([[$high, 0.5], [$low, -0.5]] as [$end, $further]) {
                $bad = static fn(Buckles $b): array => array_diff($b->reasons(), ['uneven_ends']);
                // Where it is good as it stands, it is good to its reach and bad beyond.
                if ($bad($is) === []) {
                    self::assertSame([], $bad($is->after($end)));
                    self::assertNotSame([], $bad($is->after($end + $further)));
                }
            }
            // There and back is where it was.
            self::assertEquals($is, $is->after(1.5)->after(-1.5));
        }
        self::assertSame(['uneven_ends'], Buckles::showing([1, 3], [2, 2], 4)->reasons());
        $this->expectException(InputError::class);
        Buckles::showing([1, 1], [1, 1], -1);
    }

    public function test_a_washer_has_a_step_where_every_multiple_is_whole_serrations(): void
    {
        $is = Washer::from(['unit_teeth' => 48, 'lever_teeth' => 45]);
        self::assertTrue($is->has(0.5, 12));
        self::assertFalse($is->has(0.3, 12));
        self::assertSame([1, -1], [$is->turn(-0.5)->unitSteps, $is->turn(-0.5)->leverSteps]);
        // Bound to a few serrations it goes less far.
        $bound = Washer::from(['unit_teeth' => 48, 'lever_teeth' => 45, 'max_unit_steps' => 4, 'max_lever_steps' => 4]);
        self::assertTrue($bound->has(0.5, 4));
        self::assertFalse($bound->has(0.5, 6));
    }

    /** What is foretold of the turns that are advised is what was advised with, for any world and any runs. */
    public function test_what_is_foretold_of_the_advice_is_the_advice(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $linkage = SimulatedLinkage::seeded($seed, new LinkageFaults(book: 0.15));
            $model = RigModel::from([
                'points' => array_map(static fn($p): array => [
                    'id' => $p->id, 'min' => $p->min, 'max' => $p->max, 'noise' => $p->noise,
                ], $linkage->points),
                'adjusters' => array_map(static fn($a): array => [
                    'id' => $a->id, 'step' => $a->step, 'min' => $a->min, 'max' => $a->max,
                    'positive' => $a->positive->value,
                ], $linkage->adjusters),
                'effects' => $linkage->book,
            ]);
            $runs = [new MeasuredRun($linkage->run())];
            $next = $model->next($runs, Deadline::in(20_000));
            $turned = array_combine(
                array_map(static fn($a): string => $a->id, $model->adjusters),
                $next->amounts,
            );
            $is = $model->foretell($runs, $turned);
            self::assertEquals($next->predicted(), $is->readings);
            self::assertEqualsWithDelta($next->pWithin, $is->pWithin, 1e-12);
            self::assertSame($next->unmet, $is->unmet);
            // Nothing turned is what is read now, with the reading's own noise.
            foreach ($model->foretell($runs, [])->readings as $point => $r) {
                self::assertEqualsWithDelta($next->now()[$point]['mean'], $r['mean'], 1e-9);
            }
        }
    }

    public function test_an_adjuster_that_is_bound_is_advised_within_its_bounds(): void
    {
        $model = RigModel::from([
            'points' => [['id' => 'a', 'min' => 0, 'max' => 1]],
            'adjusters' => [['id' => 's', 'step' => 0.5, 'min' => -5, 'max' => 5, 'positive' => 'cw']],
            'effects' => ['s' => ['a' => 1]],
        ]);
        $runs = [new MeasuredRun(['a' => 4.0])];
        self::assertSame(-3.5, $model->next($runs, Deadline::in(1000))->amounts[0]);
        self::assertSame([['s'], []], [$model->apartFrom(['s'], ['b']), $model->apartFrom(['s'], ['b', 'a'])]);
        $bound = $model->within(['s' => [-1.25, 9.0]]);
        self::assertSame([-1.25, 5.0], [$bound->adjusters[0]->min, $bound->adjusters[0]->max]);
        $next = $bound->next($runs, Deadline::in(1000));
        self::assertSame([-1.0, ['s'], ['a']], [$next->amounts[0], $next->atStop, $next->unmet]);
        self::assertSame(Turn::CounterClockwise, $next->moves()[0]['direction']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is said of an adjuster, and where */
    public static function faults(): iterable
    {
        $washer = ['unit_teeth' => 48, 'lever_teeth' => 45];
        yield 'a washer in turns' => [['washer' => $washer, 'unit' => 'turns'], 'spec.adjusters.0.unit'];
        yield 'a washer the other way' => [['washer' => $washer, 'positive' => 'ccw'], 'spec.adjusters.0.unit'];
        yield 'a step between serrations' => [['washer' => $washer, 'step' => 0.4], 'spec.adjusters.0.step'];
        yield 'a washer of one tooth' => [
            ['washer' => ['unit_teeth' => 1, 'lever_teeth' => 45]], 'spec.adjusters.0.washer.unit_teeth',
        ];
        yield 'buckles in degrees' => [
            ['buckles' => ['names' => ['up', 'down'], 'max_threads' => 3]], 'spec.adjusters.0.unit',
        ];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('faults')]
    public function test_what_cannot_be_counted_is_named_at_its_place(array $wrong, string $at): void
    {
        $spec = [
            'tool_kind' => 'protractor',
            'points' => [['id' => 'a', 'title' => 'A', 'unit' => 'deg', 'min' => 0, 'max' => 1]],
            'adjusters' => [[
                'id' => 's', 'title' => 'S', 'unit' => 'deg', 'step' => 0.5, 'min' => -6, 'max' => 6,
                'positive' => 'cw',
            ]],
            'effects' => ['s' => ['a' => 1]],
        ];
        self::assertSame([], RigRefs::faults($spec));
        $spec['adjusters'][0] = [...$spec['adjusters'][0], ...$wrong];
        self::assertContains($at, array_map(static fn(InputError $e): string => $e->path, RigRefs::faults($spec)));
    }
}
