<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function floor;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

use function min;

/**
 * A tolerance or an early window: a fixed amount, or a percentage with perhaps a cap; in the limit's own unit (months:
 * days).
 */
final readonly class Allowance
{
    private function __construct(private ?float $abs, private float $pct, private ?float $cap) {}

    /** @pure */
    public static function none(): self
    {
        return new self(0.0, 0.0, null);
    }

    /**
     * @param float|null $abs in the limit's unit, at least 0
     * @param float|null $pct in per cent, at least 0
     * @param float|null $cap in the limit's unit, at least 0; only beside a percentage
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(?float $abs, ?float $pct, ?float $cap): self
    {
        foreach (['abs' => $abs, 'pct' => $pct, 'cap' => $cap] as $field => $value) {
            if ($value !== null && ! ($value >= 0)) {
                throw InputError::negative($field);
            }
        }
        if (($abs === null) === ($pct === null)) {
            throw InputError::at('', 'needs either abs or pct');
        }
        if ($abs !== null && $cap !== null) {
            throw InputError::unknown('cap');
        }

        return new self($abs, $pct ?? 0.0, $cap);
    }

    /** The amounts that must be whole for `days` and `months`. @throws InputError */
    public function requireWhole(): void
    {
        foreach (['abs' => $this->abs, 'cap' => $this->cap] as $field => $value) {
            if ($value !== null && floor($value) !== $value) {
                throw InputError::at($field, 'must be whole days');
            }
        }
    }

    public function isPercentage(): bool
    {
        return $this->abs === null;
    }

    /**
     * The allowance for a span of a counter.
     *
     * @pure
     */
    public function amount(float $span): float
    {
        if ($this->abs !== null) {
            return $this->abs;
        }
        $amount = $this->pct * $span / 100;

        return $this->cap === null ? $amount : min($amount, $this->cap);
    }

    /**
     * The allowance for a span of days, rounded down.
     *
     * @pure
     */
    public function days(int $span): int
    {
        return Near::floor($this->amount($span));
    }
}
