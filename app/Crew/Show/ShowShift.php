<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Do\RestRules;
use App\Crew\Do\ShiftGround;
use App\Crew\Do\ShiftSlot;
use App\Crew\Do\ShiftSlots;
use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Crew\Model\ShiftCrew;
use App\Crew\Model\ShiftHours;
use App\Crew\Show\View\ShiftPerson;
use App\Crew\Show\View\ShiftView;
use App\Crew\Show\View\SlotCandidate;
use App\Crew\Show\View\SlotView;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Crew\Assign;
use Jorvel\Core\Crew\AssignPerson;
use Jorvel\Core\Crew\AssignSlot;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Near;

/** A shift: its slots, who takes which, and for each open one why each person cannot. */
final readonly class ShowShift
{
    public function __construct(private Clock $clock, private ShiftSlots $slots, private RestRules $rest) {}

    /** The crew as it was kept, or, where none was, those who are already assigned to the cards. */
    public function read(string $base, Day $day, string $shift, Person $me): ShiftView
    {
        $ground = $this->ground($base, $day, $shift);
        $saved = ShiftCrew::with('places')->where(['base' => $base, 'date' => (string) $day, 'shift' => $shift])
            ->first();

        return $this->view(
            $ground,
            $saved === null ? $this->assigned($ground) : $saved->places->pluck('person_id', 'slot')->all(),
            $saved,
            true,
            $me,
        );
    }

    /**
     * What the core proposes; nothing is saved.
     *
     * @param array<array-key, int> $fixed person by slot, whom the controller has already placed
     */
    public function propose(string $base, Day $day, string $shift, array $fixed, Person $me): ShiftView
    {
        $ground = $this->ground($base, $day, $shift);
        $saved = ShiftCrew::firstWhere(['base' => $base, 'date' => (string) $day, 'shift' => $shift]);
        // Those already placed stay, as far as they may; the rest is filled around them.
        $places = $ground->standing($fixed);
        $open = array_values(array_filter(
            $ground->slots,
            static fn(ShiftSlot $s): bool => ! isset($places[$s->slot->id]),
        ));
        $people = $ground->people->map(static fn(Person $p): AssignPerson => AssignPerson::of(
            (string) $p->id,
            $ground->qualified($p),
            max(0.0, $ground->free($p, $places)),
        ))
            ->values()
            ->all();
        $barred = [];
        foreach ($open as $s) {
            $barred[$s->slot->id] = array_values($ground->people->filter(
                static fn(Person $p): bool
                    => $ground->tookPart($s, $p->id, $places) || $ground->elsewhere($s, $p->id, $places) !== null,
            )->map(static fn(Person $p): string => (string) $p->id)->all());
        }
        $result = Assign::of(
            array_values($people),
            array_map(static fn(ShiftSlot $s): AssignSlot => $s->slot, $open),
            null,
            40,
            $barred,
            ShiftGround::apart($open),
        );

        return $this->view(
            $ground,
            array_replace($places, array_map(intval(...), $result->assigned)),
            $saved,
            $result->proven,
            $me,
        );
    }

    /**
     * A crew as the controller has it on the screen; nothing is saved.
     *
     * @param array<array-key, int> $places person by slot
     */
    public function judge(string $base, Day $day, string $shift, array $places, Person $me): ShiftView
    {
        return $this->view(
            $this->ground($base, $day, $shift),
            $places,
            ShiftCrew::firstWhere(['base' => $base, 'date' => (string) $day, 'shift' => $shift]),
            true,
            $me,
        );
    }

    public function ground(string $base, Day $day, string $shift): ShiftGround
    {
        $hours = ShiftHours::byCode()[$shift] ?? throw Refused::because("There is no shift \"{$shift}\".");
        [$from, $until] = $this->slots->hours($day, $hours->from, $hours->until);
        $people = Person::thereOn($day)->with(['qualifications', 'rotaDays'])
            ->where('base', $base)
            ->whereNot('role', Role::Viewer)
            ->orderBy('name')
            ->get();

        return new ShiftGround(
            $base,
            $day,
            $shift,
            $from,
            $until,
            $this->slots->of($base, $day, $from, $until),
            $people,
        );
    }

    /** @return array<string, int> who is assigned to the cards already, as far as they are there and fit */
    private function assigned(ShiftGround $ground): array
    {
        $places = [];
        foreach ($ground->slots as $s) {
            foreach ($s->card->assignments ?? [] as $a) {
                $taken = in_array(
                    $a->person_id,
                    array_intersect_key(
                        $places,
                        array_flip(array_map(
                            static fn(ShiftSlot $o): string => $o->slot->id,
                            array_filter(
                                $ground->slots,
                                static fn(ShiftSlot $o): bool => $o->slot->card === $s->slot->card,
                            ),
                        )),
                    ),
                    true,
                );
                if (
                    $a->role === $s->slot->role->value
                    && ! $taken
                    && ! isset($places[$s->slot->id])
                    && $ground->why($s, $a->person_id, $places) === null
                ) {
                    $places[$s->slot->id] = $a->person_id;
                }
            }
        }

        return $places;
    }

    /** @param array<array-key, int> $places person by slot */
    private function view(ShiftGround $ground, array $places, ?ShiftCrew $saved, bool $proven, Person $me): ShiftView
    {
        $slots = array_map(fn(ShiftSlot $s): SlotView => $this->slot($ground, $s, $places), $ground->slots);
        $open = array_filter($slots, static fn(SlotView $s): bool => $s->person === null);
        $never = array_filter(
            $open,
            static fn(SlotView $s): bool => array_filter(
                $s->candidates,
                static fn(SlotCandidate $c): bool => $c->why === null,
            ) === [],
        );
        $clashes = array_filter($slots, static fn(SlotView $s): bool => $s->conflict !== null);
        $first = array_values($never)[0] ?? array_values($open)[0] ?? null;
        $when = ucfirst($ground->shift).' shift of '.$this->clock->words($ground->day);
        $sentence = match (true) {
            $slots === [] => "{$when}: no card is planned in it.",
            $clashes !== [] => "{$when}: ".Words::count(count($clashes), 'place').' cannot stand as '
                .'saved, first '.array_values($clashes)[0]->title.'.',
            $first === null => "{$when}: every one of ".count($slots).' places is filled.',
            $never !== [] => "{$when}: ".Words::count(count($never), 'place stays', 'places stay').' open, first '
                .self::named($first).': nobody may take it.',
            default => "{$when}: ".count($open).' of '.count($slots).' places are open.',
        };

        return new ShiftView(
            $ground->base,
            (string) $ground->day,
            $ground->shift,
            $this->clock->time($ground->from).' to '.$this->clock->time($ground->until),
            $sentence,
            $saved->version ?? 0,
            $saved !== null,
            $proven,
            $slots,
            $this->people($ground, $places),
            array_values(Person::whereNot('role', Role::Viewer)->orderBy('base')->distinct()->pluck('base')->all()),
            array_keys(ShiftHours::byCode()),
            $me->can('rota', Person::class) ? ['rota'] : [],
        );
    }

    private static function named(SlotView $s): string
    {
        return match ($s->role) {
            'duplicate' => "the independent inspection of {$s->number} {$s->title}", 'certify' => lcfirst($s->title),
            default => "{$s->number} {$s->title}",
        };
    }

    /** @param array<array-key, int> $places */
    private function slot(ShiftGround $ground, ShiftSlot $s, array $places): SlotView
    {
        $id = $s->slot->id;
        $person = $places[$id] ?? null;
        $others = array_diff_key($places, [$id => 0]);
        $candidates = [];
        foreach ($ground->people as $p) {
            $why = $ground->why($s, $p->id, $others);
            $candidates[] = new SlotCandidate($p->id, $why === null ? null : $ground->said($s, $p, $why));
        }
        $conflict = $person === null ? null : array_values(array_filter(
            $candidates,
            static fn(SlotCandidate $c): bool => $c->person === $person,
        ))[0] ?? new SlotCandidate($person, 'is not of this base');

        return new SlotView(
            $id,
            $s->card?->id,
            $s->card->number ?? '',
            $s->mark,
            $s->title,
            $s->slot->role->value,
            $s->slot->skill,
            $this->clock->time($s->from),
            $this->clock->time($s->until),
            $s->slot->hours,
            $person,
            $conflict?->why,
            $candidates,
        );
    }

    /**
     * @param array<array-key, int> $places
     *
     * @return list<ShiftPerson> those who are there first
     */
    private function people(ShiftGround $ground, array $places): array
    {
        $views = $ground->people->map(function (Person $p) use ($ground, $places): ShiftPerson {
            $there = $ground->there($p);
            $usual = $p->rotaDays->firstWhere('date', (string) $ground->day);
            $given = $ground->given($p->id, $places);
            $conflicts = $there ? $this->rest->broken($p, $ground->day, $ground->day) : [];
            if (! Near::atMost($given, $ground->length()) && $there) {
                $conflicts[] = Words::number($given).' h given, the shift has '.Words::number($ground->length()).' h';
            }

            return new ShiftPerson($p->id, $p->name, $p->stamp, $there, match (true) {
                $there => $usual === null ? '' : "instead of the {$p->shift} shift: {$usual->why}",
                $usual !== null => $usual->shift === null ? $usual->why : "{$usual->shift} shift: {$usual->why}",
                default => $p->shiftOn($ground->day) === null ? 'does not work that day' : "{$p->shift} shift",
            }, $there ? $ground->length() : 0.0, $given, array_values(
                $p->qualifications->where('kind', 'skill')->pluck('value')->all(),
            ), $p->trainee, $conflicts);
        });

        return array_values($views->sortBy(static fn(ShiftPerson $p): array => [$p->there ? 0 : 1, $p->name])->all());
    }
}
