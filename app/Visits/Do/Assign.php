<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Crew\Show\View\Candidate;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Puts people on a card, in a role, or says why somebody cannot be. */
final readonly class Assign
{
    public function __construct(private Clock $clock, private Records $records) {}

    /** @throws Refused with the reason when the person does not fit */
    public function add(Person $by, Card $card, int $personId, string $role): void
    {
        $role = $role === 'trainee' ? 'perform' : $role;
        $person = Person::with('qualifications')->findOrFail($personId);
        $why = $this->why($person, $card, $role);
        if ($why !== null) {
            throw Refused::because("{$person->name} {$why}. Nobody was assigned.");
        }
        DB::transaction(function () use ($by, $card, $person, $role): void {
            $as = $person->trainee && $role === 'perform' ? 'trainee' : $role;
            Assignment::firstOrCreate(['card_id' => $card->id, 'person_id' => $person->id, 'role' => $as], ['under_id' => $as === 'trainee' ? $person->supervisor_id : null]);
            $this->records->write($by, 'card.assigned', "card:{$card->id}", ['person' => $person->stamp, 'role' => $as, 'under' => $as === 'trainee' ? $person->supervisor_id : null]);
        });
    }

    public function remove(Person $by, Card $card, int $personId, string $role): void
    {
        if ($role !== 'duplicate' && $card->steps->contains('done_by', $personId)) {
            throw Refused::because('This person has already worked steps of the card and stays on it.');
        }
        $under = $card->assignments->firstWhere('under_id', $personId);
        if ($role === 'perform' && $under !== null) {
            throw Refused::because('A trainee works on this card under this person. Take the trainee off first.');
        }
        DB::transaction(function () use ($by, $card, $personId, $role): void {
            Assignment::where(['card_id' => $card->id, 'person_id' => $personId, 'role' => $role])->delete();
            $this->records->write($by, 'card.unassigned', "card:{$card->id}", ['person' => $personId, 'role' => $role]);
        });
    }

    /** @return Collection<int, Candidate> everybody who works, those who fit first */
    public function candidates(Card $card, string $role): Collection
    {
        return Person::thereOn($this->clock->today())->with('qualifications')->whereNot('role', 'viewer')->orderBy('name')->get()
            ->map(function (Person $p) use ($card, $role): Candidate {
                $why = $this->why($p, $card, $role);

                return new Candidate($p->id, $p->name, $p->stamp, $p->shift, $why === null, $why);
            })
            ->sortBy(static fn(Candidate $c): int => $c->fits ? 0 : 1)->values();
    }

    /** Why a person does not fit a card in a role on the day the visit begins, or today if it has begun. */
    public function why(Person $person, Card $card, string $role): ?string
    {
        $on = Day::fromNumber(max(Day::parse($card->visit->start)->number, $this->clock->today()->number));
        if ($person->goneOn($on)) {
            return "leaves on {$person->leaves}";
        }
        if ($person->trainee && $role === 'perform') {
            $over = Person::find($person->supervisor_id);

            return match (true) {
                $over === null => 'is a trainee without a supervisor',
                $card->assignments->contains(static fn(Assignment $a): bool => $a->person_id === $over->id && $a->role === 'perform') => null,
                default => "is a trainee: put the supervisor, {$over->name}, on the card first",
            };
        }
        $other = $role === 'perform' ? 'duplicate' : 'perform';
        $tookPart = ($role === 'duplicate' && $card->steps->contains('done_by', $person->id))
            || $card->assignments->contains(static fn(Assignment $a): bool => $a->person_id === $person->id && $a->role === $other);
        $skill = $role === 'perform' ? $card->skill : null;
        $type = $card->aircraft->type->code;
        $code = $person->qualified()->unfit($role, $type, $skill, $on, $tookPart);

        return $code === null ? null : Words::unfit($code, $role, $type, $skill);
    }
}
