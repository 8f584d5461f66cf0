<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Visits\Do\MakeFixCard;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * Lives a visit from its first day to now, as its plan has it and at the story's pace: planned anew each morning, cards
 * worked and closed, findings raised and given their cards. The same at every load.
 */
final readonly class VisitStory
{
    public function __construct(private Clock $clock, private PlanVisit $plan, private MakeFixCard $fix) {}

    /**
     * @param float $pace how many times its planned time a card takes
     * @param list<array{string, string, string, string, float, array<string, mixed>}> $findings chapter or item (and
     *   after a stroke the card of its set), what raises it (`item`, or what the card makes), place, extent, hours to
     *   fix, what else is known; each is raised while its card is worked, and not before
     * @param Collection<string, Person> $people
     */
    public function live(Visit $visit, Person $controller, float $pace, array $findings, Collection $people): void
    {
        $now = $this->clock->now();
        for ($day = $visit->start; $day->number <= $this->clock->today()->number; $day = $day->plusDays(1)) {
            $morning = $this->clock->at($day, '06:00');
            ($this->plan)($visit, $controller, 'planned in the morning', $morning);
            $end = $this->clock->at($day, '22:00');
            $this->work($visit, $now->isBefore($end) ? $now : $end, $pace, $people);
            foreach ($findings as $n => [$item, $by]) {
                $card = $by === 'item'
                    ? self::card($visit, $item)
                    : $visit->cards()->where('makes', $by)->firstOrFail();
                $at = $this->seen($card, $this->clock->at($day, '13:10'));
                if ($at !== null) {
                    $this->find($visit, $controller, $people, $card, $findings[$n], $at);
                    unset($findings[$n]);
                }
            }
        }
        ($this->plan)($visit, $controller, 'findings of today planned in', $now);
    }

    /** Plans a visit once more, with who is on its cards by then. */
    public function plan(Visit $visit, Person $controller): void
    {
        ($this->plan)($visit, $controller, 'planned with who is on each card');
    }

    /** @param Collection<string, Person> $people */
    private function work(Visit $visit, Instant $until, float $pace, Collection $people): void
    {
        $planned = $visit->cards()->with(['steps', 'assignments'])->whereNotNull('planned_start');
        foreach ($planned->orderBy('planned_start')->orderBy('id')->get() as $card) {
            $start = $card->planned_start;
            if ($card->worked() || ! $start->isBefore($until)) {
                continue;
            }
            $planned = $card->planned_end->epoch() - $start->epoch();
            $end = Instant::fromEpoch($start->epoch() + (int) ($planned * $pace));
            $by = $this->worker($card, $visit, $start, $people);
            Assignment::firstOrCreate(['card_id' => $card->id, 'person_id' => $by->id, 'role' => 'perform']);
            $card->begun_at ??= (string) $start;
            $done = $until->isBefore($end) ? max(
                1,
                (int) floor($card->steps->count() * ($until->epoch() - $start->epoch()) / ($planned * $pace)),
            ) : $card->steps->count();
            foreach ($card->steps->take($done)->where('state', Step::OPEN) as $step) {
                $step->update([
                    'state' => Step::DONE,
                    'done_by' => $by->id,
                    'done_at' => (string) $start,
                    'result' => [],
                ]);
                if ($step->kind === 'safing_fit') {
                    SafingDevice::create([
                        'aircraft_id' => $visit->aircraft_id,
                        'card_id' => $card->id,
                        'fitted_step_id' => $step->id,
                        'fitted_by' => $by->id,
                        'kind' => $step->spec['device'],
                        'place' => $step->spec['place'],
                        'flag' => $step->spec['flag'],
                        'fitted_at' => (string) $start,
                        'against' => $step->spec['against'] ?? [],
                        'storage' => $step->spec['storage'] ?? null,
                    ]);
                }
            }
            $card->fill($until->isBefore($end)
                ? ['state' => Card::IN_WORK]
                : [
                    'state' => Card::CLOSED,
                    'signed_by' => $by->id,
                    'signed_at' => (string) $end,
                    'closed_at' => (string) $end,
                    'inspected_by' => $card->independent_inspection ? $people['tor']->id : null,
                    'inspected_at' => $card->independent_inspection ? (string) $end : null,
                    'spent' => round($card->hours * $pace * (0.9 + 0.05 * ($card->id % 5)), 1),
                ])->save();
            if ($card->finding_id !== null && $card->state === Card::CLOSED) {
                Finding::whereKey($card->finding_id)->update([
                    'state' => 'fixed',
                    'fixed_how' => "by card {$card->number}",
                    'settled_at' => (string) $end,
                ]);
            }
        }
    }

    /** The card of a visit that the story names: by its item, and after a stroke one of that item's set. */
    public static function card(Visit $visit, string $named): Card
    {
        [$item, $part] = explode('/', $named) + [1 => null];
        $cards = $visit->cards()->where('of_set', $part !== null)
            ->whereHas('item', static fn($q) => $q->where('code', $item));

        return ($part === null ? $cards : $cards->whereHas(
            'template',
            static fn($q) => $q->where('code', 'like', "%-{$part}"),
        ))->firstOrFail();
    }

    /** @param Collection<string, Person> $people */
    private function worker(Card $card, Visit $visit, Instant $at, Collection $people): Person
    {
        $day = $at->dayIn($this->clock->zone());
        $shift = $this->clock->time($at) < '14:00' ? 'early' : 'late';
        $type = $visit->aircraft->type->code;
        $busy = Assignment::where('role', 'perform')
            ->whereIn('card_id', $visit->cards()->where('state', Card::IN_WORK)->select('id'))
            ->pluck('person_id');
        $able = $people
            ->filter(static fn(Person $p): bool => $p->role === Role::Technician
                && $p->shift === $shift
                && ! $busy->contains($p->id)
                && $p->qualified()->unfit('perform', $type, $card->skill, $day) === null)
            ->sortKeys()
            ->values();

        return $card->assignments->isNotEmpty() ? $people->firstOrFail(
            'id',
            $card->assignments->firstOrFail()->person_id,
        ) : $able->get($card->id % max(1, $able->count())) ?? $people['tor'];
    }

    /** When something is seen at a card on a day: at the usual time, or soon after it was begun; null before that. */
    private function seen(Card $card, Instant $usual): ?Instant
    {
        $begun = $card->begun_at;
        if ($begun === null || Instant::fromEpoch($usual->epoch() + 28_800)->isBefore($begun)) {
            return null;
        }

        return $usual->isBefore($begun) || ($card->closed_at !== null && $card->closed_at->isBefore($usual))
            ? Instant::fromEpoch($begun->epoch() + 1200)
            : $usual;
    }

    /**
     * @param Collection<string, Person> $people
     * @param array{string, string, string, string, float, array<string, mixed>} $what as of {@see live()}
     */
    private function find(
        Visit $visit,
        Person $controller,
        Collection $people,
        Card $card,
        array $what,
        Instant $at,
    ): void {
        [$item, $by, $place, $extent, $hours, $more] = $what;
        $card->load(['item', 'template', 'assignments']);
        $finding = Finding::create([
            'aircraft_id' => $visit->aircraft_id, 'card_id' => $card->id,
            'raised_by' => $this->worker($card, $visit, $at, $people)->id,
            'number' => sprintf('F%04d', 6 + Finding::count()),
            'chapter' => $by === 'item' ? substr($item, 0, 2) : $item, 'place' => $place, 'extent' => $extent,
            'state' => 'open', 'raised_at' => (string) $at,
            ...$more,
        ]);
        ($this->fix)($controller, $finding, $hours);
    }
}
