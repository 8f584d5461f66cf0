<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\FloorWords;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Floor\Model\Stoppage;
use App\Now\VisitDoubts;
use App\Shared\Clock;
use App\Stores\Model\CardPart;
use App\Visits\Model\Visit;
use App\Visits\Show\View\AssignedView;
use App\Visits\Show\View\VisitCard;
use App\Visits\Show\View\VisitFinding;
use App\Visits\Show\View\VisitsView;
use App\Visits\Show\View\VisitView;
use App\Visits\VisitWords;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Shared\Day;

/** What the room Visits shows. */
final readonly class ShowVisits
{
    public function __construct(
        private Clock $clock,
        private ShowShortages $shortages,
        private VisitDoubts $doubts,
    ) {}

    public function all(): VisitsView
    {
        $visits = $this->query()
            ->where('state', '!=', Visit::RELEASED)
            ->orderBy('start')
            ->get()
            ->map(fn(Visit $v): VisitView => $this->view($v, [], []))
            ->all();
        $open = array_filter($visits, static fn(VisitView $v): bool => $v->state === Visit::IN_WORK->value);
        $next = array_values(array_filter(
            $visits,
            static fn(VisitView $v): bool => $v->state === Visit::PLANNED->value,
        ))[0] ?? null;
        $sentence = VisitWords::room(
            count($visits),
            count($open),
            $next === null ? null : "{$next->mark} comes in next: {$next->title}",
            $next === null ? null : Day::parse($next->start),
            $next->bay ?? '',
            $this->clock->words(...),
        );

        return new VisitsView($sentence, $visits);
    }

    public function one(int $id): VisitView
    {
        $visit = $this->query()
            ->with(['cards.steps', 'cards.assignments.person', 'cards.parts.part', 'cards.finding', 'cards.stoppages'])
            ->withoutGlobalScope('visits')->where('kind', '!=', Visit::CANCELLED)->findOrFail($id);
        $short = $visit->state === Visit::RELEASED ? [] : $this->shortages->of($visit, $visit->cards);
        $cards = array_values($visit->cards->map(
            fn(Card $c): VisitCard => $this->card($c, [
                ...$c->stoppages->map(
                    static fn(Stoppage $s): string => FloorWords::stopped($s->kind, $s->what),
                )->all(),
                ...$short[$c->id] ?? [],
            ]),
        )->all());
        $carded = $visit->cards->pluck('finding_id')->filter();
        $open = Finding::with('card')->whereIn('card_id', $visit->cards->modelKeys())
            ->where('state', 'open')
            ->orderBy('id')
            ->get();
        $findings = $open->whereNotIn('id', $carded)
            ->map(static fn(Finding $f): VisitFinding => new VisitFinding(
                $f->id,
                $f->number,
                $f->place,
                $f->extent,
                $f->card->number,
            ))
            ->all();

        return $this->view($visit, $cards, array_values($findings));
    }

    /** @return Builder<Visit> */
    private function query(): Builder
    {
        return Visit::with(['aircraft.type', 'cards.assignments', ...VisitDoubts::WITH]);
    }

    /**
     * @param list<VisitCard> $cards
     * @param list<VisitFinding> $findings
     */
    private function view(Visit $visit, array $cards, array $findings): VisitView
    {
        $total = $visit->cards->count();
        $closed = $visit->cards->where('state', Card::CLOSED)->count();
        $lacking = $visit->cards->filter(static fn(Card $c): bool => self::unmanned($c))->count();
        $end = $visit->end;
        $sentence = VisitWords::stands(
            $visit->state,
            $closed,
            $total,
            $lacking,
            $this->clock->words($end),
            $this->clock->today()->daysUntil($end),
        );

        return new VisitView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            $visit->bay,
            (string) $visit->start,
            (string) $visit->end,
            $visit->state->value,
            $sentence,
            "{$visit->title}: ".lcfirst($sentence),
            (float) $visit->cards->sum('hours'),
            $closed,
            $total,
            $findings,
            $cards,
            $this->doubts->of($visit),
            $visit->kind === Visit::CHECK,
        );
    }

    private static function unmanned(Card $card): bool
    {
        return $card->state !== Card::CLOSED && ! $card->assignments->contains('role', 'perform');
    }

    /** @param list<string> $short what it will not have on its day */
    private function card(Card $card, array $short): VisitCard
    {
        $from = $card->begun_at ?? $card->planned_start;
        $needs = $card->needs ?? [$card->skill => 1];

        return new VisitCard(
            $card->id,
            $card->number,
            $card->title,
            $card->state->value,
            $card->independent_inspection,
            $card->skill,
            $card->hours,
            $card->zone,
            $card->steps->where('state', '!=', Step::OPEN)->count(),
            $card->steps->count(),
            $card->assignments->map(static fn(Assignment $a): AssignedView => new AssignedView(
                $a->person_id,
                $a->person->name,
                $a->person->stamp,
                $a->role,
            ))->all(),
            self::unmanned($card) ? 'nobody to work it' : null,
            $card->stage->value,
            $from === null ? null : $this->clock->local($from),
            implode(
                ', ',
                array_map(
                    static fn(string $skill, int $many): string => $many === 1 ? $skill : "{$many} {$skill}",
                    array_keys($needs),
                    $needs,
                ),
            ),
            array_map(static fn(array $p): string => "{$p['place']} ({$p['who']})", $card->positions),
            array_values($card->parts->map(
                static fn(CardPart $p): string => "{$p->quantity} × {$p->part->number} {$p->part->title}",
            )->all()),
            $short,
            $card->finding?->number,
            $card->state === Card::OPEN && $card->isWork()
                && ! $card->steps->contains(static fn(Step $s): bool => $s->settled()),
        );
    }
}
