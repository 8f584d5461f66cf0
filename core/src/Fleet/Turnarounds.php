<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_intersect;
use function array_keys;
use function array_slice;
use function in_array;
use function max;

/**
 * Between which flights of a day an aircraft is turned round: before each but the first, which flies on the daily. None
 * is made up for once a later one is signed.
 */
final readonly class Turnarounds
{
    /**
     * @param list<string> $flights of the day, in their order
     * @param list<string> $signed flights before which it was turned round
     */
    public function __construct(private array $flights, private array $signed) {}

    /**
     * Flights that still want one, the next first.
     *
     * @return list<string>
     *
     * @pure
     */
    public function wanting(): array
    {
        $last = max([0, ...array_keys(array_intersect($this->flights, $this->signed))]);

        return array_slice($this->flights, $last + 1);
    }

    /** @pure */
    public function next(): ?string
    {
        return $this->wanting()[0] ?? null;
    }

    /** @pure */
    public function wants(string $flight): bool
    {
        return in_array($flight, $this->wanting(), true);
    }

    /** Whether it is turned round between flights at all on the day. @pure */
    public function any(): bool
    {
        return isset($this->flights[1]);
    }
}
