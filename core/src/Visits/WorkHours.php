<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function ceil;
use function count;

use InvalidArgumentException;
use Jorvel\Core\Shared\Instant;

/**
 * The hours in which a visit can be worked, cut into slots for the planner: nights and closed days have none, so that a
 * card that is longer than a shift is handed over and goes on where work goes on.
 */
final readonly class WorkHours
{
    /**
     * @param list<int> $begins epoch seconds at which each slot begins, rising
     * @param list<array<string, int>> $people of each slot
     */
    private function __construct(private array $begins, private array $people, public int $minutes) {}

    /**
     * @param list<Spell> $spells in order, none running into the next
     * @param int $minutes of a slot, at least 1; what is left of a spell and shorter than a slot is not used
     */
    public static function of(array $spells, int $minutes = 30): self
    {
        $begins = $people = [];
        $last = PHP_INT_MIN;
        foreach ($spells as $spell) {
            if ($spell->from->epoch() < $last) {
                throw new InvalidArgumentException(
                    "The spell from {$spell->from} begins before the one ahead of it has ended.",
                );
            }
            for ($at = $spell->from->epoch(); $at + $minutes * 60 <= $spell->until->epoch(); $at += $minutes * 60) {
                $begins[] = $at;
                $people[] = $spell->people;
            }
            $last = $spell->until->epoch();
        }

        return new self($begins, $people, $minutes);
    }

    /** The same for the same slots with the same people, and for no others. @pure */
    public function print(): string
    {
        return hash('sha256', json_encode([$this->begins, $this->people, $this->minutes], JSON_THROW_ON_ERROR));
    }

    /** @pure */
    public function count(): int
    {
        return count($this->begins);
    }

    /** When a slot begins; beyond the last, as if work went on round the clock. @pure */
    public function begins(int $slot): Instant
    {
        $last = count($this->begins) - 1;

        return match (true) {
            $last < 0 => throw new InvalidArgumentException('There are no working hours.'),
            $slot <= $last => Instant::fromEpoch($this->begins[$slot]),
            default => Instant::fromEpoch($this->begins[$last] + ($slot - $last) * $this->minutes * 60),
        };
    }

    /** When the slot before this one ends: where a card that ends "at" it is done. @pure */
    public function ends(int $slot): Instant
    {
        return Instant::fromEpoch($this->begins(max(0, $slot - 1))->epoch() + $this->minutes * 60);
    }

    /** The first slot that does not begin before an instant. @pure */
    public function at(Instant $at): int
    {
        $low = 0;
        $high = count($this->begins);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->begins[$middle] >= $at->epoch()) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }

    /**
     * Who is at work at an instant.
     *
     * @return array<string, int>|null by skill; empty where nothing is worked, null beyond the last slot: that is not
     *   known
     *
     * @pure
     */
    public function there(Instant $at): ?array
    {
        $next = $this->at(Instant::fromEpoch($at->epoch() + 1));
        if ($next === count($this->begins)) {
            return null;
        }

        return $next > 0 && $at->epoch() < $this->begins[$next - 1] + $this->minutes * 60
            ? $this->people[$next - 1]
            : [];
    }

    /** Where an instant lies, in slots and parts of one; in a break, where work goes on. @pure */
    public function place(Instant $at): float
    {
        $next = $this->at($at);
        if ($next === 0) {
            return 0.0;
        }
        $last = $this->begins[min($next, count($this->begins)) - 1];

        return $next - 1 + min(1.0, ($at->epoch() - $last) / ($this->minutes * 60));
    }

    /** Slots that hours of work take, at least one. @pure */
    public function slots(float $hours): int
    {
        return max(1, (int) ceil($hours * 60 / $this->minutes - 1e-9));
    }

    /** @pure */
    public function hours(int $slots): float
    {
        return $slots * $this->minutes / 60;
    }

    /**
     * People by skill and slot.
     *
     * @return array<string, list<int>>
     *
     * @pure
     */
    public function people(): array
    {
        $by = [];
        foreach ($this->people as $slot => $people) {
            foreach ($people as $skill => $many) {
                $by[$skill][$slot] = $many;
            }
        }

        return array_map(
            fn(array $many): array => array_values(array_replace(array_fill(0, count($this->begins), 0), $many)),
            $by,
        );
    }

    /**
     * Person-hours between two slots.
     *
     * @pure
     */
    public function personHours(int $from, int $until): float
    {
        $heads = 0;
        for ($slot = $from; $slot < min($until, count($this->people)); $slot++) {
            $heads += $this->people[$slot]['*'] ?? 0;
        }

        return $heads * $this->minutes / 60;
    }
}
