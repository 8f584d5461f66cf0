<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/**
 * The units a reading may carry, each in one dimension.
 *
 * Factors are the exact definitions: inch 25.4 mm, pound 0.45359237 kg, standard gravity 9.80665 m/s² (so pound-force
 * 4.4482216152605 N), US gallon 3.785411784 L, conventional inch of mercury 3386.388640341 Pa.
 */
enum Unit: string
{
    case Pa = 'Pa';
    case kPa = 'kPa';
    case bar = 'bar';
    case psi = 'psi';
    case inHg = 'inHg';
    case mm = 'mm';
    case in = 'in';
    case um = "\u{00B5}m";
    case thou = 'thou';
    case Nm = 'Nm';
    case lbfIn = 'lbf_in';
    case lbfFt = 'lbf_ft';
    case N = 'N';
    case lbf = 'lbf';
    case daN = 'daN';
    case deg = 'deg';
    case arcmin = 'arcmin';
    case rad = 'rad';
    case C = 'C';
    case F = 'F';
    case K = 'K';
    case kg = 'kg';
    case lb = 'lb';
    case mL = 'mL';
    case L = 'L';
    case usQt = 'US_qt';
    case usGal = 'US_gal';
    case percent = '%';
    case rpm = 'rpm';
    case s = 's';
    case min = 'min';
    case h = 'h';
    case V = 'V';
    case A = 'A';

    /**
     * @throws InputError for a name that is no unit; the Greek mu is taken for the micro sign
     *
     * @pure
     */
    public static function parse(string $name): self
    {
        return self::tryFrom($name === "\u{03BC}m" ? "\u{00B5}m" : $name)
            ?? throw InputError::at(
                '',
                "\"{$name}\" is not a unit; use one of ".implode(', ', array_column(self::cases(), 'value')),
            );
    }

    /** @pure */
    public function dimension(): string
    {
        return match ($this) {
            self::Pa, self::kPa, self::bar, self::psi, self::inHg => 'pressure',
            self::mm, self::in, self::um, self::thou => 'length',
            self::Nm, self::lbfIn, self::lbfFt => 'torque',
            self::N, self::lbf, self::daN => 'force',
            self::deg, self::arcmin, self::rad => 'angle',
            self::C, self::F, self::K => 'temperature',
            self::kg, self::lb => 'mass',
            self::mL, self::L, self::usQt, self::usGal => 'volume',
            self::percent => 'percent',
            self::rpm => 'speed',
            self::s, self::min, self::h => 'time',
            self::V => 'voltage',
            self::A => 'current',
        };
    }

    /**
     * A reading in this unit, in another of the same dimension.
     *
     * @pure
     */
    public function to(self $unit, float $value): float
    {
        if ($unit === $this) {
            return $value;
        }
        if ($this->dimension() === 'temperature') {
            return ($value + $this->zero()) * $this->size() / $unit->size() - $unit->zero();
        }

        return $this->differenceTo($unit, $value);
    }

    /**
     * A difference or an uncertainty in this unit, in another of the same dimension.
     *
     * @pure
     */
    public function differenceTo(self $unit, float $value): float
    {
        return $unit === $this ? $value : $value * $this->size() / $unit->size();
    }

    /**
     * The lowest reading that can exist, in this unit; null where there is none.
     *
     * @pure
     */
    public function lowest(): ?float
    {
        return $this->dimension() === 'temperature' ? -$this->zero() : null;
    }

    /**
     * How it is written beside a number.
     *
     * @pure
     */
    public function label(): string
    {
        return match ($this) {
            self::Nm => 'N·m', self::lbfIn => 'lbf·in', self::lbfFt => 'lbf·ft', self::deg => '°', self::arcmin => '′',
            self::C => '°C', self::F => '°F', self::usQt => 'US qt', self::usGal => 'US gal', default => $this->value,
        };
    }

    /**
     * What added to a reading counts it from absolute zero.
     *
     * @pure
     */
    private function zero(): float
    {
        return match ($this) {
            self::C => 273.15,
            self::F => 459.67,
            default => 0.0,
        };
    }

    /**
     * The unit's size in its dimension's smallest convenient one.
     *
     * @pure
     */
    private function size(): float
    {
        return match ($this) {
            self::kPa => 1000.0,
            self::bar => 100000.0,
            self::psi => 4.4482216152605 / 0.00064516,
            self::inHg => 3386.388640341,
            self::mm => 1000.0,
            self::in => 25400.0,
            self::thou => 25.4,
            self::lbfIn => 0.1129848290276167,
            self::lbfFt => 1.3558179483314004,
            self::lbf => 4.4482216152605,
            self::daN => 10.0,
            self::deg => 60.0,
            self::rad => 60.0 * 180.0 / M_PI,
            self::F => 5.0 / 9.0,
            self::lb => 0.45359237,
            self::L => 1000.0,
            self::usQt => 946.352946,
            self::usGal => 3785.411784,
            self::min => 60.0,
            self::h => 3600.0,
            default => 1.0,
        };
    }
}
