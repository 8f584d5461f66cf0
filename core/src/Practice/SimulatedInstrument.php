<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * An instrument that is not there: what it would show of a true value, with its noise, its resolution, a zero that
 * drifts, and a fault if one is switched on. The same seed shows the same.
 */
final readonly class SimulatedInstrument
{
    /** What can be wrong with it. */
    public const FAULTS = ['none', 'stuck', 'wrong_unit', 'out_of_tolerance'];

    /**
     * For each kind of tool: its unit, noise as a share of the range, and drift of zero as a share of the range an
     * hour.
     */
    public const KINDS = [
        'pressure gauge' => [0.0015, 0.0005],
        'torque wrench' => [0.004, 0.0],
        'protractor' => [0.0006, 0.0],
        'tensiometer' => [0.004, 0.001],
        'dial gauge' => [0.0008, 0.0005],
        'feeler gauge' => [0.002, 0.0],
        'thermometer' => [0.001, 0.0002],
        'stop watch' => [0.0001, 0.0],
    ];

    private function __construct(
        public string $kind,
        private Instrument $is,
        private int $seed,
        private string $fault,
    ) {}

    /**
     * `SimulatedInstrument::of('pressure gauge', $tool->instrument(), seed: 7)`.
     *
     * @throws InputError at `kind` or `fault` for one that there is not
     *
     * @pure
     */
    public static function of(string $kind, Instrument $is, int $seed, string $fault = 'none'): self
    {
        if (! isset(self::KINDS[$kind])) {
            throw InputError::notAmong('kind', 'kinds of instrument', $kind);
        }
        if (! in_array($fault, self::FAULTS, true)) {
            throw InputError::notAmong('fault', implode(', ', self::FAULTS), $fault);
        }

        return new self($kind, $is, $seed, $fault);
    }

    /**
     * What it shows of a true value, in its own unit and by its own steps.
     *
     * @param float $true in the instrument's unit
     * @param int $n which reading since it was switched on, from 0
     * @param float $hours since its zero was set
     *
     * @return float within its range
     *
     * @pure
     */
    public function shows(float $true, int $n, float $hours = 0.0): float
    {
        [$noise, $drift] = self::KINDS[$this->kind];
        $span = $this->is->high - $this->is->low;
        $random = new Randomizer(new Xoshiro256StarStar($this->seed * 1_000_003 + ($this->fault === 'stuck' ? 0 : $n)));
        $value = $true + $span * ($noise * self::normal($random) + $drift * $hours);
        $value = match ($this->fault) {
            // Half the scale out is what nobody overlooks; a twentieth is what a check finds.
            'out_of_tolerance' => $value + $span / 20,
            'wrong_unit' => $value * self::otherUnit($this->is->unit),
            default => $value,
        };
        $value = min($this->is->high, max($this->is->low, $value));

        return round(round($value / $this->is->resolution) * $this->is->resolution, 9);
    }

    public function unit(): Unit
    {
        return $this->is->unit;
    }

    /** What one of its unit is in the unit that it is most often mistaken for. */
    private static function otherUnit(Unit $unit): float
    {
        return match ($unit) {
            Unit::bar => Unit::bar->to(Unit::psi, 1.0), Unit::psi => Unit::psi->to(Unit::bar, 1.0),
            Unit::Nm => Unit::Nm->to(Unit::lbfFt, 1.0), Unit::N => Unit::N->to(Unit::lbf, 1.0),
            Unit::mm => Unit::mm->to(Unit::in, 1.0), Unit::deg => Unit::deg->to(Unit::rad, 1.0),
            default => 1.8,
        };
    }

    /** One normal draw, by Box and Muller. */
    private static function normal(Randomizer $random): float
    {
        $u = ($random->getInt(1, 1_000_000_000)) / 1_000_000_001;
        $v = ($random->getInt(1, 1_000_000_000)) / 1_000_000_001;

        return sqrt(-2.0 * log($u)) * cos(2.0 * M_PI * $v);
    }
}
