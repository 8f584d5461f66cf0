<?php

declare(strict_types=1);

namespace App\Crew;

use App\Crew\View\AwayView;
use App\Crew\View\CrewView;
use App\Crew\View\HitView;
use App\Crew\View\LapseView;
use App\Crew\View\PersonView;
use App\Crew\View\QualificationView;
use App\Floor\Assignment;
use App\Floor\Card;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** Who is there, what they hold, and which planned cards a lapse hits. */
final readonly class ReadCrew
{
    public function __construct(private Clock $clock) {}

    public function all(Person $me): CrewView
    {
        $people = Person::with(['qualifications', 'rotaDays'])->orderBy('shift')->orderBy('name')->get();
        $names = $people->pluck('name', 'id');
        $assigned = Assignment::with('card.aircraft.type')->whereHas('card', static fn($q) => $q->whereNot('state', Card::CLOSED))->get()->groupBy('person_id');
        $lapses = [];
        $views = [];
        foreach ($people as $p) {
            $on = $assigned->get($p->id) ?? collect();
            $held = [];
            foreach ($p->qualifications as $q) {
                [$view, $lapse] = $this->held($p, $q, $on);
                $held[] = $view;
                $lapses = $lapse === null ? $lapses : [...$lapses, $lapse];
            }
            $shift = $p->shiftOn($this->clock->today());
            $views[] = new PersonView($p->id, $p->name, $p->stamp, $p->role->value, $p->base, $p->shift, $shift === null ? 'not there today' : ($shift === $p->shift ? '' : "today {$shift}"), $p->trainee, $p->supervisor_id === null ? null : $names[$p->supervisor_id] ?? null, $this->away($p), $held, $on->count());
        }
        usort($lapses, static fn(LapseView $a, LapseView $b): int => [$a->hits === [] ? 1 : 0, $a->days, $a->name] <=> [$b->hits === [] ? 1 : 0, $b->days, $b->name]);
        $hitting = array_filter($lapses, static fn(LapseView $l): bool => $l->hits !== []);
        $first = $lapses[0] ?? null;
        $sentence = match (true) {
            $first === null => 'Nothing lapses within '.config('jorvel.lapse_days').' days.',
            $hitting !== [] => "{$first->name} {$first->said}: ".Words::count(count($first->hits), 'planned card').' cannot be worked as assigned.'.(count($lapses) > 1 ? ' '.Words::count(count($lapses), 'qualification').' in all within '.config('jorvel.lapse_days').' days.' : ''),
            default => Words::count(count($lapses), 'qualification has lapsed or lapses', 'qualifications have lapsed or lapse').' within '.config('jorvel.lapse_days').' days; no planned card is hit.',
        };

        return new CrewView($sentence, $lapses, $views, array_keys(ShiftHours::byCode()), $me->can('roster', Person::class) ? ['roster'] : []);
    }

    /**
     * @param Collection<int, Assignment> $on cards they are assigned to
     *
     * @return array{QualificationView, LapseView|null}
     */
    private function held(Person $p, Qualification $q, Collection $on): array
    {
        $days = $q->valid_until === null ? null : $this->clock->today()->daysUntil(Day::parse($q->valid_until));
        $state = match (true) {
            $days === null, $days > config('jorvel.lapse_days') => 'clear',
            $days < 0 => 'stop',
            default => 'watch',
        };
        $note = $days === null ? '' : ($days < 0 ? 'lapsed '.Words::fromNow($days) : 'lapses '.Words::fromNow($days));
        $view = new QualificationView($q->kind, $q->value, $q->valid_until, $state, $note);
        if ($days === null || $state === 'clear') {
            return [$view, null];
        }
        $what = ['skill' => "the skill {$q->value}", 'rating' => "the {$q->value} rating", 'authority' => 'the authority to '.(['perform' => 'work cards', 'duplicate' => 'inspect', 'certify' => 'certify'][$q->value] ?? $q->value)][$q->kind] ?? $q->value;

        return [$view, new LapseView($p->id, $p->name, $q->kind, $q->value, (string) $q->valid_until, $days, $state, $days < 0 ? "has let lapse {$what}" : "loses {$what} ".Words::fromNow($days), $this->hits($p, $q, $on))];
    }

    /**
     * @param Collection<int, Assignment> $on
     *
     * @return list<HitView>
     */
    private function hits(Person $p, Qualification $q, Collection $on): array
    {
        $hits = [];
        foreach ($on as $a) {
            $card = $a->card;
            $day = $card->planned_start === null ? $this->clock->today() : Instant::parse($card->planned_end ?? $card->planned_start)->dayIn($this->clock->zone());
            $role = $a->role === 'duplicate' ? 'duplicate' : 'perform';
            $day = $day->number < $this->clock->today()->number ? $this->clock->today() : $day;
            $asks = match ($q->kind) {
                'authority' => $q->value === $role, 'rating' => $q->value === $card->aircraft->type->code, default => $role === 'perform' && $q->value === $card->skill,
            };
            if ($asks && $day->number > Day::parse((string) $q->valid_until)->number) {
                $hits[] = new HitView($card->id, $card->number, $card->aircraft->mark, $card->title, (string) $day, $role);
            }
        }

        return $hits;
    }

    /** @return list<AwayView> from today on, days on end together */
    private function away(Person $p): array
    {
        $spans = [];
        foreach ($p->rotaDays->where('date', '>=', (string) $this->clock->today())->sortBy('date') as $d) {
            $last = count($spans) - 1;
            if ($last >= 0 && $spans[$last][2] === $d->shift && $spans[$last][3] === $d->why && Day::parse($spans[$last][1])->plusDays(1)->number === Day::parse($d->date)->number) {
                $spans[$last][1] = $d->date;
            } else {
                $spans[] = [$d->date, $d->date, $d->shift, $d->why];
            }
        }

        return array_map(static fn(array $s): AwayView => new AwayView($s[0], $s[1], $s[2], $s[3]), $spans);
    }
}
