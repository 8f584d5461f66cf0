<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** A screw, rod or washer: how finely it goes, how far, and which way is positive. */
final readonly class Adjuster
{
    private function __construct(
        public string $id,
        public float $step,
        public float $min,
        public float $max,
        public Turn $positive,
    ) {}

    /**
     * @param float $step the least movement (half a turn, one serration), above 0
     * @param float $min the most the other way, at most 0
     * @param float $max the most the positive way, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(string $id, float $step, float $min, float $max, Turn $positive): self
    {
        if (! ($step > 0)) {
            throw InputError::notPositive('step');
        }
        if (! ($min <= 0)) {
            throw InputError::at('min', 'must be at most 0');
        }
        if (! ($max >= 0)) {
            throw InputError::negative('max');
        }

        return new self($id, $step, $min, $max, $positive);
    }

    /**
     * The positions it can be put to, in steps from where it is: lowest and highest.
     *
     * @return array{int, int}
     *
     * @pure
     */
    public function reach(): array
    {
        return [-Near::floor(-$this->min / $this->step), Near::floor($this->max / $this->step)];
    }

    /**
     * Which way it goes for a signed amount.
     *
     * @pure
     */
    public function direction(float $amount): Turn
    {
        return $amount < 0 ? $this->positive->opposite() : $this->positive;
    }

    /**
     * The signed amount of so much in a direction.
     *
     * @param float $amount at least 0
     *
     * @pure
     */
    public function signed(float $amount, Turn $direction): float
    {
        return $direction === $this->positive ? $amount : -$amount;
    }

    /**
     * Whether a place, counted from where it stood, lies within its travel.
     *
     * @pure
     */
    public function reaches(float $place): bool
    {
        return Near::atLeast($place, $this->min) && Near::atMost($place, $this->max);
    }
}
