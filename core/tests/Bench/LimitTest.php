<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Eris\Generators;
use Eris\TestTrait;
use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LimitTest extends TestCase
{
    use TestTrait;

    /**
     * @return iterable<string, array{float, bool, string, float, list<string>}> reading in Nm against 18 to 22, wrench
     *   ±0.5 from 5 to 60
     */
    public static function readings(): iterable
    {
        yield 'simple, inside' => [20.0, false, 'pass', 2.0, []];
        yield 'simple, on the edge' => [18.0, false, 'pass', 0.0, []];
        yield 'simple, outside by noise' => [22.0 + 1e-9, false, 'pass', 0.0, []];
        yield 'simple, outside' => [22.1, false, 'fail', -0.1, []];
        yield 'guarded, enough in hand' => [18.5, true, 'pass', 0.5, []];
        yield 'guarded, not enough in hand' => [18.4, true, 'marginal', 0.4, []];
        yield 'guarded, outside by less than the uncertainty' => [17.6, true, 'marginal', -0.4, []];
        yield 'guarded, outside by just the uncertainty' => [17.5, true, 'marginal', -0.5, []];
        yield 'guarded, outside by more' => [17.4, true, 'fail', -0.6, []];
        yield 'beyond the instrument' => [61.0, true, 'invalid', -39.0, ['out_of_instrument_range']];
        yield 'at the end of the instrument' => [60.0, false, 'fail', -38.0, []];
    }

    /** @param list<string> $reasons */
    #[DataProvider('readings')]
    public function test_the_verdict(float $value, bool $guarded, string $verdict, float $margin, array $reasons): void
    {
        $wrench = Instrument::of(Unit::Nm, 0.1, 0.5, 5, 60, Day::parse('2026-06-30'));
        $result = Limit::judge(
            Quantity::of($value, Unit::Nm),
            ReadingLimit::between(Unit::Nm, 18, 22),
            Day::parse('2026-06-30'),
            $wrench,
            $guarded,
        );
        self::assertSame([$verdict, $reasons], [$result->verdict->value, $result->reasons]);
        self::assertEqualsWithDelta($margin, (float) $result->margin, 1e-6);
    }

    public function test_reasons_come_in_their_order_and_a_coarse_instrument_is_named(): void
    {
        $gauge = Instrument::of(Unit::psi, 1, 10, 0, 100, Day::parse('2026-01-01'));
        $result = Limit::judge(
            Quantity::of(150, Unit::psi),
            ReadingLimit::between(Unit::bar, 6, 7),
            Day::parse('2026-05-05'),
            $gauge,
        );
        self::assertSame(['cal_expired', 'out_of_instrument_range', 'coarse_instrument'], $result->reasons);
        $just = Instrument::of(Unit::Nm, 0.1, 0.5, 0, 100, Day::parse('2027-01-01'));
        self::assertSame(
            [],
            Limit::judge(
                Quantity::of(20, Unit::Nm),
                ReadingLimit::between(Unit::Nm, 18, 22),
                Day::parse('2026-05-05'),
                $just,
            )->reasons,
            'a band of just eight uncertainties is not coarse',
        );
    }

    /** @return iterable<string, array{float, string, float, string}> */
    public static function conversions(): iterable
    {
        $table = [
            [1, 'in', 25.4, 'mm'],
            [1000, 'thou', 25.4, 'mm'],
            [1, 'mm', 1000, "\u{03BC}m"],
            [1, 'lbf_ft', 12, 'lbf_in'],
            [1, 'bar', 100, 'kPa'],
            [1, 'psi', 6894.757293168361, 'Pa'],
            [29.92, 'inHg', 101320.74811900273, 'Pa'],
            [212, 'F', 100, 'C'],
            [-40, 'C', -40, 'F'],
            [0, 'C', 273.15, 'K'],
            [180, 'deg', M_PI, 'rad'],
            [1, 'deg', 60, 'arcmin'],
            [1, 'daN', 10, 'N'],
            [1, 'lbf', 4.4482216152605, 'N'],
            [1, 'lb', 0.45359237, 'kg'],
            [4, 'US_qt', 1, 'US_gal'],
            [1, 'US_gal', 3.785411784, 'L'],
            [1, 'L', 1000, 'mL'],
            [90, 'min', 1.5, 'h'],
            [1, 'lbf_in', 0.1129848290276167, 'Nm'],
        ];
        foreach ($table as [$from, $unit, $to, $other]) {
            yield "{$from} {$unit} is {$to} {$other}" => [(float) $from, $unit, (float) $to, $other];
        }
    }

    #[DataProvider('conversions')]
    public function test_units_convert(float $from, string $unit, float $to, string $other): void
    {
        self::assertEqualsWithDelta(
            $to,
            Quantity::of($from, Unit::parse($unit))->in(Unit::parse($other))->value,
            1e-9 * max(1, abs($to)),
        );
    }

    public function test_there_and_back_is_the_same_and_across_dimensions_is_an_error(): void
    {
        $this->limitTo(200)->forAll(
            Generators::elements(Unit::cases()),
            Generators::elements(Unit::cases()),
            Generators::choose(0, 100_000),
        )->then(function (Unit $a, Unit $b, int $n): void {
            $quantity = Quantity::of($n / 7, $a);
            try {
                self::assertEqualsWithDelta($n / 7, $quantity->in($b)->in($a)->value, 1e-9 * max(1, $n));
                self::assertSame($a->dimension(), $b->dimension());
            } catch (InputError) {
                self::assertNotSame($a->dimension(), $b->dimension());
            }
        });
    }

    /**
     * @return iterable<string, array{string, float|null}> what is typed for a torque in Nm, and what is understood;
     *   null is refused
     */
    public static function entries(): iterable
    {
        $typed = [
            '8.1' => 8.1, '8,1' => 8.1, ' 8,1 Nm ' => 8.1, '8.1 N·m' => 8.1, '-3' => -3.0, '−3,5' => -3.5, '+2' => 2.0,
            '8,1 lbf_in' => null, '1,234.5' => null, '8.1.2' => null, '' => null, 'eight' => null, '8 1' => null,
            '1e3' => null, '.5' => null,
        ];
        foreach ($typed as $text => $value) {
            yield "\"{$text}\"" => [(string) $text, $value];
        }
    }

    #[DataProvider('entries')]
    public function test_a_typed_reading(string $text, ?float $value): void
    {
        try {
            self::assertSame($value, Entered::parse($text, Unit::Nm)->value);
        } catch (InputError $e) {
            self::assertNull($value, $e->getMessage());
        }
    }
}
