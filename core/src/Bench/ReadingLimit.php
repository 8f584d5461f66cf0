<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** The band a reading must lie in: from `low` to `high`, either of them open. */
final readonly class ReadingLimit
{
    private function __construct(public Unit $unit, public ?float $low, public ?float $high) {}

    /**
     * @throws InputError at `min`, `max` when below absolute zero; with the empty path when min is above max
     *
     * @pure
     */
    public static function between(Unit $unit, ?float $min, ?float $max): self
    {
        foreach (['min' => $min, 'max' => $max] as $field => $value) {
            self::check($field, $value, $unit);
        }
        if ($min !== null && $max !== null && $min > $max) {
            throw InputError::reversed('');
        }

        return new self($unit, $min, $max);
    }

    /**
     * @param float $plus in the same unit (a difference), at least 0
     * @param float $minus likewise
     *
     * @throws InputError
     *
     * @pure
     */
    public static function around(Unit $unit, float $nominal, float $plus, float $minus): self
    {
        self::check('nominal', $nominal, $unit);
        foreach (['plus' => $plus, 'minus' => $minus] as $field => $value) {
            if (! ($value >= 0)) {
                throw InputError::negative($field);
            }
        }

        return new self($unit, $nominal - $minus, $nominal + $plus);
    }

    /**
     * Whether a value, in the limit's unit, keeps so much in hand on every side.
     *
     * @pure
     */
    public function holds(float $value, float $guard = 0.0): bool
    {
        return ($this->low === null || Near::atLeast($value, $this->low + $guard))
            && ($this->high === null || Near::atMost($value, $this->high - $guard));
    }

    private static function check(string $field, ?float $value, Unit $unit): void
    {
        if ($value === null) {
            return;
        }
        try {
            Quantity::of($value, $unit);
        } catch (InputError $e) {
            throw InputError::at($field, $e->getMessage());
        }
    }
}
