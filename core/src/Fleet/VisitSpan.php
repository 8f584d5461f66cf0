<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** When an aircraft stands in a visit, and which of its stops the visit takes away. */
final readonly class VisitSpan
{
    /** @param list<string> $takes ids of stops */
    private function __construct(
        public Day $from,
        public Day $to,
        public array $takes,
        public bool $between,
    ) {}

    /**
     * `VisitSpan::of(Day::parse('2026-05-08'), Day::parse('2026-05-10'), ['item:12'])`.
     *
     * @param list<string> $takes ids of stops
     * @param bool $between it is worked within an hour or two, between two flights: on its days the aircraft flies
     *
     * @throws InputError at `to` when it ends before it begins
     *
     * @pure
     */
    public static function of(Day $from, Day $to, array $takes = [], bool $between = false): self
    {
        return $to->number < $from->number ? throw InputError::at(
            'to',
            "must not be before {$from}, on which it begins",
        ) : new self($from, $to, $takes, $between);
    }

    /**
     * One that has begun: the aircraft stands in it until it is released, also beyond its planned end.
     *
     * @param list<string> $takes ids of stops
     *
     * @throws InputError at `to` when it ends before it begins
     *
     * @pure
     */
    public static function begun(Day $from, Day $to, Day $today, array $takes = []): self
    {
        return self::of($from, $to->number < $today->number ? $today : $to, $takes);
    }

    /** Whether the aircraft does not fly on a day for it. @pure */
    public function stands(Day $day): bool
    {
        return ! $this->between && $this->holds($day);
    }

    /** Whether a day is one of its days. @pure */
    public function holds(Day $day): bool
    {
        return $this->from->number <= $day->number && $day->number <= $this->to->number;
    }

    /** Whether it shares a day with other days. @pure */
    public function overlaps(Day $from, Day $to): bool
    {
        return $from->number <= $this->to->number && $this->from->number <= $to->number;
    }
}
