<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Model\WaitingAuthority;
use App\Crew\Show\View\AwayView;
use App\Crew\Show\View\CrewView;
use App\Crew\Show\View\LapseView;
use App\Crew\Show\View\PersonView;
use App\Now\LoadCrew;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Crew\AtWork;
use Jorvel\Core\Now\Placed;

/** Who is there, what they hold, and which planned cards a lapse hits. */
final readonly class ShowCrew
{
    public function __construct(
        private Clock $clock,
        private Lapses $lapses,
        private LastOnes $last,
        private PersonChoices $choices,
        private LoadCrew $crew,
    ) {}

    /** @param Person|null $of whose days were just changed: the cards are named for which they are not there now */
    public function all(Person $me, ?Person $of = null): CrewView
    {
        $today = $this->clock->today();
        $people = Person::thereOn($today)->with(['qualifications', 'rotaDays', 'waitingAuthorities'])
            ->orderBy('shift')
            ->orderBy('name')
            ->get();
        $names = $people->pluck('name', 'id');
        $assigned = $this->lapses->assigned();
        $last = $this->last->hits($people->toBase());
        $lapses = [];
        $views = [];
        foreach ($people as $p) {
            $on = $assigned->get($p->id) ?? collect();
            $lapses = [...$lapses, ...$this->lapses->of($p, $on, $last)];
            $views[] = $this->view(
                $p,
                $p->supervisor_id === null ? null : $names[$p->supervisor_id] ?? null,
                $on->count(),
            );
        }
        $left = $assigned->keys()->diff($people->pluck('id'));
        foreach ($left->isEmpty() ? [] : Person::with('qualifications')->whereIn('id', $left)->get() as $gone) {
            $lapses = [...$lapses, ...$this->lapses->of($gone, $assigned[$gone->id], $last)];
        }
        usort(
            $lapses,
            static fn(LapseView $a, LapseView $b): int => [
                $a->hits === [] ? 1 : 0,
                $a->days ?? -1,
                $a->name,
            ] <=> [$b->hits === [] ? 1 : 0, $b->days ?? -1, $b->name],
        );
        $hitting = array_filter($lapses, static fn(LapseView $l): bool => $l->hits !== []);
        $first = $lapses[0] ?? null;
        $all = count($lapses) > 1
            ? ' '.Words::count(count($lapses), 'qualification').' in all within '.config('jorvel.lapse_days').' days.'
            : '';
        $sentence = match (true) {
            $first === null => 'Nothing lapses within '.config('jorvel.lapse_days').' days.',
            $hitting !== [] => "{$first->name} {$first->said}: ".Lapses::told($first->hits).".{$all}",
            default => Words::count(
                count($lapses),
                'qualification has lapsed or lapses',
                'qualifications have lapsed or lapse',
            ).' within '.config('jorvel.lapse_days').' days; no planned card is hit.',
        };

        return new CrewView(
            $sentence,
            $lapses,
            $views,
            $this->choices->all(),
            array_values(array_filter(
                ['rota', 'edit'],
                static fn(string $what): bool => $me->can($what, Person::class),
            )),
            $of === null ? [] : $this->missing($of),
        );
    }

    /** @return list<string> "015-02 Gear extension by hand pump, Wed 6 May, 06:00" */
    private function missing(Person $of): array
    {
        $crew = $this->crew->of(collect([$of->load('qualifications', 'rotaDays')]));
        $person = $crew->people[$of->id];
        $now = $this->clock->now();
        $missing = array_filter($person->placed, static fn(Placed $p): bool => $p->from !== null && $p->until !== null
            && $now->isBefore($p->until)
            && in_array(
                AtWork::during($crew, $person, $p->from->dayIn($crew->zone), $p->from, $p->until, $p->card),
                [AtWork::Away, AtWork::OffShift],
                true,
            ));

        return array_values(array_map(
            fn(Placed $p): string => "{$p->number} {$p->title}, ".(
                $p->from === null ? '' : $this->clock->local($p->from)
            ),
            $missing,
        ));
    }

    /** One of them; load `qualifications`, `rotaDays` and `waitingAuthorities` first. */
    public function view(Person $p, ?string $supervisor, int $cards): PersonView
    {
        $shift = $p->shiftOn($this->clock->today());

        return new PersonView(
            $p->id,
            $p->name,
            $p->stamp,
            $p->role->value,
            $p->base,
            $p->shift,
            $shift === null ? 'not there today' : ($shift === $p->shift ? '' : "today {$shift}"),
            $p->trainee,
            $supervisor,
            $this->away($p),
            array_values($p->qualifications->map($this->lapses->view(...))->all()),
            array_values($p->waitingAuthorities->map(
                static fn(WaitingAuthority $w): string => Words::qualification('authority', $w->value),
            )->all()),
            $cards,
        );
    }

    /** @return list<AwayView> from today on, days on end together */
    private function away(Person $p): array
    {
        $spans = [];
        foreach ($p->rotaDays->where('date', '>=', (string) $this->clock->today())->sortBy('date') as $d) {
            $last = count($spans) - 1;
            if ($last >= 0 && $spans[$last][2] === $d->shift && $spans[$last][3] === $d->why
                && $spans[$last][1]->plusDays(1)->number === $d->date->number) {
                $spans[$last][1] = $d->date;
            } else {
                $spans[] = [$d->date, $d->date, $d->shift, $d->why];
            }
        }

        return array_map(
            static fn(array $s): AwayView => new AwayView((string) $s[0], (string) $s[1], $s[2], $s[3]),
            $spans,
        );
    }
}
