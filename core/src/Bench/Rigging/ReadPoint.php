<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** A point that is read in every run: between what it must lie, and how far one reading may be off. */
final readonly class ReadPoint
{
    private function __construct(public string $id, public float $min, public float $max, public float $noise) {}

    /**
     * `ReadPoint::of('low_stop', 2.0, 4.0, 0.25)`.
     *
     * @param float $noise standard deviation of one reading, in the point's unit, above 0
     *
     * @throws InputError at `noise`, or with the empty path where min is not below max
     *
     * @pure
     */
    public static function of(string $id, float $min, float $max, float $noise): self
    {
        if (! ($min < $max)) {
            throw InputError::at('', 'min must be below max');
        }
        if (! ($noise > 0)) {
            throw InputError::notPositive('noise');
        }

        return new self($id, $min, $max, $noise);
    }

    /** @pure */
    public function holds(float $value): bool
    {
        return Near::atLeast($value, $this->min) && Near::atMost($value, $this->max);
    }

    /** @pure */
    public function middle(): float
    {
        return ($this->min + $this->max) / 2;
    }
}
