<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\CrewWords;
use App\Crew\Model\Person;
use App\Crew\Show\View\Candidate;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Now\LoadCrew;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\AtWork;
use Jorvel\Core\Now\CrewNow;
use Jorvel\Core\Shared\Day;

/** Puts people on a card, in a role, or says why somebody cannot be. */
final readonly class Assign
{
    public function __construct(private Clock $clock, private Records $records, private LoadCrew $crew) {}

    /** @throws Refused with the reason when the person does not fit */
    public function add(Person $by, Card $card, int $personId, string $role): void
    {
        $role = $role === 'trainee' ? 'perform' : $role;
        $person = Person::with('qualifications', 'rotaDays')->findOrFail($personId);
        $why = $this->why($person, $card, $role, $this->crew->of(collect([$person])));
        if ($why !== null) {
            throw Refused::because("{$person->name} {$why}. Nobody was assigned.");
        }
        DB::transaction(function () use ($by, $card, $person, $role): void {
            $as = $person->trainee && $role === 'perform' ? 'trainee' : $role;
            Assignment::firstOrCreate(
                ['card_id' => $card->id, 'person_id' => $person->id, 'role' => $as],
                ['under_id' => $as === 'trainee' ? $person->supervisor_id : null],
            );
            $this->records->write(
                $by,
                'card.assigned',
                "card:{$card->id}",
                [
                    'person' => $person->stamp,
                    'role' => $as,
                    'under' => $as === 'trainee' ? $person->supervisor_id : null,
                ],
            );
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

    /**
     * @return Collection<int, Candidate> everybody who works: those who are free first, then those who fit and are
     *   elsewhere or off shift
     */
    public function candidates(Card $card, string $role): Collection
    {
        $people = Person::thereOn($this->clock->today())->with('qualifications', 'rotaDays')
            ->whereNot('role', 'viewer')
            ->orderBy('name')
            ->get();
        $crew = $this->crew->of($people);

        return $people->map(function (Person $p) use ($card, $role, $crew): Candidate {
            $why = $this->why($p, $card, $role, $crew);
            $remark = $why === null ? $this->remark($p, $card, $crew) : null;

            return new Candidate($p->id, $p->name, $p->stamp, $p->shift, $why === null, $why, $remark);
        })->sortBy(static fn(Candidate $c): int => $c->fits ? ($c->remark === null ? 0 : 1) : 2)->values();
    }

    /** The day from which a card counts: on which it is planned, or its visit begins; today if that is over. */
    private function day(Card $card): Day
    {
        $planned = $card->planned_start === null
            ? $card->visit->start
            : $card->planned_start->dayIn($this->clock->zone());

        return Day::fromNumber(max($planned->number, $this->clock->today()->number));
    }

    private function atWork(Person $person, Card $card, CrewNow $crew): AtWork
    {
        return AtWork::during(
            $crew,
            $crew->people[$person->id],
            $this->day($card),
            $card->planned_start,
            $card->planned_end,
            (string) $card->id,
        );
    }

    /** What the controller is told of somebody who fits: on another shift, or on another card at that time. */
    private function remark(Person $person, Card $card, CrewNow $crew): ?string
    {
        return match ($this->atWork($person, $card, $crew)) {
            AtWork::OffShift => "works the {$person->shift} shift; the card is planned ".$this->clock->local(
                $card->planned_start,
            ).' to '.$this->clock->local($card->planned_end),
            AtWork::Elsewhere => 'is on '.AtWork::placed(
                $crew->people[$person->id],
                $card->planned_start,
                $card->planned_end,
                (string) $card->id,
            ).' at that time',
            default => null,
        };
    }

    /** Why a person does not fit a card in a role on its day. */
    private function why(Person $person, Card $card, string $role, CrewNow $crew): ?string
    {
        $on = $this->day($card);
        if ($person->goneOn($on)) {
            return 'leaves on '.$this->clock->words($person->leaves);
        }
        if ($this->atWork($person, $card, $crew) === AtWork::Away) {
            return CrewWords::away(
                $person->rotaDays->firstWhere('date', (string) $on)?->why,
            ).' on '.$this->clock->words($on);
        }
        if ($person->trainee && $role === 'perform') {
            $over = Person::find($person->supervisor_id);

            return match (true) {
                $over === null => 'is a trainee without a supervisor',
                $card->assignments->contains(
                    static fn(Assignment $a): bool => $a->person_id === $over->id && $a->role === 'perform',
                ) => null,
                default => "is a trainee: put the supervisor, {$over->name}, on the card first",
            };
        }
        $other = $role === 'perform' ? 'duplicate' : 'perform';
        $tookPart = ($role === 'duplicate' && $card->tookPart($person->id))
            || $card->assignments->contains(
                static fn(Assignment $a): bool => $a->person_id === $person->id && $a->role === $other,
            );
        $skill = $role === 'perform' ? $card->skill : null;
        $type = $card->aircraft->type->code;
        $code = $person->qualified()->unfit($role, $type, $skill, $on, $tookPart);

        return $code === null ? null : Words::unfit($code, $role, $type, $skill);
    }
}
