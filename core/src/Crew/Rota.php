<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use DateTimeZone;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Spell;

/** Who is at work when: people on their shifts, counted by what they can do on an aircraft that day. */
final readonly class Rota
{
    /**
     * @param list<OnRota> $people
     * @param array<string, Shift> $shifts by code; they do not overlap
     */
    public function __construct(private array $people, private array $shifts, private DateTimeZone $zone) {}

    /**
     * The spells of so many days, those that an aircraft's type can be worked in by somebody, in order.
     *
     * @param string $type the aircraft type's code
     * @param int|null $most people that there is room for
     * @param array<int, array{string, string}> $open local hours by ISO weekday, 1 for Monday; a day without them is
     *   closed
     *
     * @return list<Spell>
     *
     * @pure
     */
    public function spells(Day $from, int $days, string $type, array $open, ?int $most = null): array
    {
        $spells = [];
        for ($n = 0; $n < $days; $n++) {
            $day = $from->plusDays($n);
            [$opens, $closes] = $open[$day->weekday()] ?? ['00:00', '00:00'];
            foreach ($this->shifts as $code => $shift) {
                $people = $this->counts($code, $day, $type);
                $begins = max($opens, $shift->from);
                $ends = min($closes, $shift->until);
                if ($people !== [] && $begins < $ends) {
                    $heads = min($people['*'], $most ?? $people['*']);
                    $spells[] = new Spell(
                        $this->at($day, $begins),
                        $this->at($day, $ends),
                        array_map(static fn(int $many): int => min($many, $heads), $people),
                    );
                }
            }
        }
        usort($spells, static fn(Spell $a, Spell $b): int => $a->from->epoch() <=> $b->from->epoch());

        return $spells;
    }

    /**
     * People of each skill on a shift of a day who may work on a type; under `*` how many they are. Empty when there is
     * nobody.
     *
     * @return array<string, int>
     *
     * @pure
     */
    public function counts(string $shift, Day $day, string $type): array
    {
        $counts = [];
        foreach ($this->people as $person) {
            if ($person->shiftOn($day) !== $shift) {
                continue;
            }
            $may = array_values(array_filter(
                $person->skills,
                static fn(string $skill): bool => $person->holds->unfit('perform', $type, $skill, $day) === null,
            ));
            foreach ($may === [] ? [] : [...$may, '*'] as $what) {
                $counts[$what] = ($counts[$what] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /**
     * How many could work a skill on a type that day, whatever their shift.
     *
     * @pure
     */
    public function able(Day $day, string $type, string $skill): int
    {
        return count(array_filter(
            $this->people,
            static fn(OnRota $p): bool
                => $p->worksOn($day) && $p->holds->unfit('perform', $type, $skill, $day) === null,
        ));
    }

    /** @return list<string> codes of the shifts @pure */
    public function shifts(): array
    {
        return array_map(strval(...), array_keys($this->shifts));
    }

    /**
     * Hours of everybody who works on a day and may work on one of some types.
     *
     * @param list<string> $types codes
     *
     * @pure
     */
    public function hours(Day $day, array $types): float
    {
        $hours = 0.0;
        foreach ($this->people as $person) {
            $shift = $this->shifts[$person->shiftOn($day) ?? ''] ?? null;
            $able = array_filter($types, static fn(string $type): bool => array_filter(
                $person->skills,
                static fn(string $skill): bool => $person->holds->unfit('perform', $type, $skill, $day) === null,
            ) !== []);
            $hours += $shift === null || $able === [] ? 0.0 : $shift->hours();
        }

        return $hours;
    }

    private function at(Day $day, string $clock): Instant
    {
        return Instant::fromEpoch((new \DateTimeImmutable("{$day} {$clock}", $this->zone))->getTimestamp());
    }
}
