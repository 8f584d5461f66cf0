<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\CrewWords;
use App\Crew\Model\Person;
use App\Shared\Words;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\Role as SlotRole;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/** What a crew is made on: the slots of a shift, and the people of its base. */
final readonly class ShiftGround
{
    /**
     * @param list<ShiftSlot> $slots
     * @param Collection<int, Person> $people with `qualifications` and `rotaDays`
     */
    public function __construct(
        public string $base,
        public Day $day,
        public string $shift,
        public Instant $from,
        public Instant $until,
        public array $slots,
        public Collection $people,
    ) {}

    /** Hours of the shift. */
    public function length(): float
    {
        return ($this->until->epoch() - $this->from->epoch()) / 3600;
    }

    public function there(Person $person): bool
    {
        return $person->shiftOn($this->day) === $this->shift;
    }

    /** @param array<array-key, int> $places person by slot */
    public function given(int $person, array $places): float
    {
        return array_sum(array_map(
            static fn(ShiftSlot $s): float => ($places[$s->slot->id] ?? null) === $person ? $s->slot->hours : 0.0,
            $this->slots,
        ));
    }

    /** @param array<array-key, int> $places */
    public function free(Person $person, array $places): float
    {
        return $this->there($person) ? $this->length() - $this->given($person->id, $places) : 0.0;
    }

    /** What somebody holds for the search, which puts no trainee anywhere. */
    public function qualified(Person $person): Qualified
    {
        return $person->trainee ? new Qualified([]) : $person->qualified();
    }

    /**
     * Why somebody cannot take a slot beside those already placed; null when they can. As the core has it, and `away`
     * for whoever does not work this shift, `elsewhere:<card>` for who has another place at that time, `trainee` for
     * one whose supervisor is not on the card.
     *
     * @param array<array-key, int> $places without the slot itself
     */
    public function why(ShiftSlot $s, int $personId, array $places): ?string
    {
        $person = $this->people->firstWhere('id', $personId);
        if ($person === null) {
            return 'away';
        }
        if ($person->trainee && $s->slot->role === SlotRole::Perform) {
            return $this->busy($s, $person, $places) ?? (in_array(
                $person->supervisor_id,
                $this->on($s, 'perform', $places),
                true,
            ) ? null : 'trainee');
        }
        $unfit = $s->slot->unfit($person->qualified());

        return match (true) {
            $unfit !== null => $unfit,
            $this->tookPart($s, $personId, $places) => 'not_independent',
            default => $this->busy($s, $person, $places),
        };
    }

    /**
     * Whether somebody would not be independent in a slot: they have the other role on its card, or worked the card
     * before.
     *
     * @param array<array-key, int> $places
     */
    public function tookPart(ShiftSlot $s, int $personId, array $places): bool
    {
        $excluded = $s->slot->role->excludes();

        return $excluded !== null && (in_array(
            $personId,
            $this->on($s, $excluded->value, $places),
            true,
        ) || ($excluded === SlotRole::Perform && $s->card !== null && $s->card->tookPart($personId)));
    }

    /**
     * The card of a place at the same time that somebody has already; null where they have none.
     *
     * @param array<array-key, int> $places
     */
    public function elsewhere(ShiftSlot $s, int $personId, array $places): ?string
    {
        foreach ($this->slots as $other) {
            if (
                $other->slot->id !== $s->slot->id
                && ($places[$other->slot->id] ?? null) === $personId
                && $s->meets($other)
            ) {
                return "{$other->card?->number} {$other->title}";
            }
        }

        return null;
    }

    /**
     * Pairs of these slots that nobody can have both of.
     *
     * @param list<ShiftSlot> $slots
     *
     * @return list<array{string, string}>
     */
    public static function apart(array $slots): array
    {
        $pairs = [];
        foreach ($slots as $i => $s) {
            foreach (array_slice($slots, $i + 1) as $other) {
                if ($s->meets($other)) {
                    $pairs[] = [$s->slot->id, $other->slot->id];
                }
            }
        }

        return $pairs;
    }

    /**
     * Of the places as somebody has them on the screen, those that can stand together.
     *
     * @param array<array-key, int> $places person by slot
     *
     * @return array<array-key, int>
     */
    public function standing(array $places): array
    {
        $slots = $this->bySlot();
        $places = array_intersect_key($places, $slots);
        do {
            $falls = null;
            foreach ($places as $id => $person) {
                $falls ??= $this->why($slots[$id], $person, array_diff_key($places, [$id => 0])) === null ? null : $id;
            }
            if ($falls !== null) {
                unset($places[$falls]);
            }
        } while ($falls !== null);

        return $places;
    }

    /** @return array<array-key, ShiftSlot> by their ids */
    public function bySlot(): array
    {
        $slots = [];
        foreach ($this->slots as $s) {
            $slots[$s->slot->id] = $s;
        }

        return $slots;
    }

    /** Why somebody cannot take a slot, in words after their name. */
    public function said(ShiftSlot $s, Person $p, string $why): string
    {
        $usual = $p->rotaDays->firstWhere('date', (string) $this->day);
        $shift = $p->shiftOn($this->day);

        if (str_starts_with($why, 'elsewhere:')) {
            return 'is on '.substr($why, strlen('elsewhere:')).' at that time';
        }

        return match ($why) {
            'away' => $usual !== null && $usual->shift === null ? CrewWords::away($usual->why) : (
                $shift === null ? 'does not work that day' : "is on the {$shift} shift"
            ),
            'no_hours' => 'has no '.Words::number($s->slot->hours).' h left on this shift',
            'trainee' => 'is a trainee: the supervisor must be on the card',
            default => Words::unfit($why, $s->slot->role->value, $s->slot->type, $s->slot->skill),
        };
    }

    /** @param array<array-key, int> $places */
    private function busy(ShiftSlot $s, Person $person, array $places): ?string
    {
        return match (true) {
            ! $this->there($person) => 'away',
            ($other = $this->elsewhere($s, $person->id, $places)) !== null => "elsewhere:{$other}",
            ! Near::atMost($this->given($person->id, $places) + $s->slot->hours, $this->length()) => 'no_hours',
            default => null,
        };
    }

    /**
     * @param array<array-key, int> $places
     *
     * @return list<int> who has a role on the same card
     */
    private function on(ShiftSlot $s, string $role, array $places): array
    {
        $people = [];
        foreach ($this->slots as $other) {
            if (
                $other->slot->card === $s->slot->card
                && $other->slot->role->value === $role
                && isset($places[$other->slot->id])
            ) {
                $people[] = $places[$other->slot->id];
            }
        }

        return $people;
    }
}
