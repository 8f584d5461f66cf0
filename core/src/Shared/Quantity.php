<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** A number with its unit. */
final readonly class Quantity
{
    private function __construct(public float $value, public Unit $unit) {}

    /**
     * @throws InputError at `value` when it is not finite or below absolute zero
     *
     * @pure
     */
    public static function of(float $value, Unit $unit): self
    {
        if (! is_finite($value)) {
            throw InputError::at('value', 'must be a finite number');
        }
        $lowest = $unit->lowest();
        if ($lowest !== null && $value < $lowest - Near::noise($lowest)) {
            throw InputError::at('value', 'is below absolute zero');
        }

        return new self($value, $unit);
    }

    /**
     * @throws InputError (empty path) across dimensions
     *
     * @pure
     */
    public function in(Unit $unit): self
    {
        if ($unit->dimension() !== $this->unit->dimension()) {
            throw InputError::at(
                '',
                "{$unit->value} ({$unit->dimension()}) cannot be "
                    ."compared with {$this->unit->value} ({$this->unit->dimension()})",
            );
        }

        return new self($this->unit->to($unit, $this->value), $unit);
    }
}
