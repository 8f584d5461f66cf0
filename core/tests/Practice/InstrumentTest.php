<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Practice;

use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Bench\Readable;
use Jorvel\Core\Practice\SimulatedInstrument;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\TestCase;

/** Instruments that are not there: as noisy as real ones, and the same from the same seed. */
final class InstrumentTest extends TestCase
{
    private static function gauge(float $resolution = 0.1): Instrument
    {
        return Instrument::of(Unit::bar, $resolution, 0.4, 0.0, 100.0, Day::parse('2026-12-31'));
    }

    public function test_it_shows_the_true_value_within_its_noise_by_its_own_steps_and_within_its_range(): void
    {
        foreach (array_keys(SimulatedInstrument::KINDS) as $kind) {
            $is = SimulatedInstrument::of($kind, self::gauge(), 5);
            $shown = array_map(static fn(int $n): float => $is->shows(40.0, $n), range(0, 199));
            self::assertEqualsWithDelta(40.0, array_sum($shown) / 200, 0.15, $kind);
            foreach ([...$shown, $is->shows(140.0, 1), $is->shows(-20.0, 2)] as $value) {
                self::assertSame(Readable::Yes, Readable::of(Quantity::of($value, Unit::bar), self::gauge()));
            }
        }
    }

    public function test_the_same_seed_shows_the_same_and_another_does_not(): void
    {
        $of = static fn(int $seed): array => array_map(
            static fn(int $n): float => SimulatedInstrument::of('pressure gauge', self::gauge(0.001), $seed)
                ->shows(40.0, $n),
            range(0, 9),
        );
        self::assertSame($of(3), $of(3));
        self::assertNotSame($of(3), $of(4));
    }

    public function test_its_zero_drifts_and_its_faults_are_what_they_are_called(): void
    {
        $with = static fn(string $fault): SimulatedInstrument
            => SimulatedInstrument::of('pressure gauge', self::gauge(), 9, $fault);
        $mean = static fn(SimulatedInstrument $is, float $hours = 0.0): float => array_sum(array_map(
            static fn(int $n): float => $is->shows(5.0, $n, $hours),
            range(0, 99),
        )) / 100;
        self::assertGreaterThan($mean($with('none')) + 0.4, $mean($with('none'), 10.0));
        self::assertEqualsWithDelta(10.0, $mean($with('out_of_tolerance')), 0.2);
        self::assertEqualsWithDelta(5 * 14.5038, $mean($with('wrong_unit')), 3.0);
        self::assertCount(1, array_unique(array_map(
            static fn(int $n): string => (string) $with('stuck')->shows(5.0, $n),
            range(0, 9),
        )));
        foreach ([['teapot', 'none'], ['protractor', 'asleep']] as [$kind, $fault]) {
            try {
                SimulatedInstrument::of($kind, self::gauge(), 1, $fault);
                self::fail('it was taken');
            } catch (InputError $e) {
                self::assertContains($e->path, ['kind', 'fault']);
            }
        }
    }
}
