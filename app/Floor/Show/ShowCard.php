<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Crew\Model\RotaDay;
use App\Floor\Do\FitToWork;
use App\Floor\Do\HandCardOver;
use App\Floor\Do\SafingRegister;
use App\Floor\Do\SignCard;
use App\Floor\Do\Standings;
use App\Floor\FloorWords;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Clocking;
use App\Floor\Model\Finding;
use App\Floor\Model\Reading;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Floor\Model\Stoppage;
use App\Floor\Show\View\CardView;
use App\Floor\Show\View\ClockedView;
use App\Floor\Show\View\FindingView;
use App\Floor\Show\View\HandoverView;
use App\Floor\Show\View\HoldView;
use App\Floor\Show\View\LoanView;
use App\Floor\Show\View\PartView;
use App\Floor\Show\View\PresenceView;
use App\Floor\Show\View\ProductView;
use App\Floor\Show\View\SafingView;
use App\Floor\Show\View\StoppageView;
use App\Floor\Show\View\ToolView;
use App\Library\Do\RenewCard;
use App\Library\Model\Figure;
use App\Library\Model\Lesson;
use App\Library\Show\ShowRevisions;
use App\Library\Show\View\FigureView;
use App\Library\Show\View\LessonView;
use App\Now\CardFile;
use App\Now\Directory;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolState;
use App\Stores\Show\View\BatchView;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\PersonAt;

/** One card with everything on it. */
final readonly class ShowCard
{
    public function __construct(
        private Clock $clock,
        private Standings $standings,
        private SafingRegister $register,
        private HandCardOver $handOver,
        private ShowFloor $floor,
        private ShowRevisions $revisions,
        private FitToWork $fit,
        private LoadCard $load,
        private Directory $people,
        private ShowProofs $proofs,
        private ShowStep $steps,
        private ShowTests $tests,
    ) {}

    public function card(int $id, Person $me): CardView
    {
        $this->people->know($me);

        return $this->show(($this->load)($id), $me);
    }

    /** A card after somebody changed it: what it belongs to is not read again. */
    public function after(CardFile $file, Person $me): CardView
    {
        $this->people->know($me);

        return $this->show($this->load->again($file), $me);
    }

    private function show(CardFile $file, Person $me): CardView
    {
        $card = $file->card;
        $tools = $this->more($card);
        $next = $card->nextStep();
        $fitted = $file->now->on->devices === [] ? new Collection : $this->register->of($card->aircraft);
        $removers = $this->register->removers($fitted);
        $holds = $this->standings->holding($me, $file, $card->steps, $removers);
        $inspection = ShowFloor::atInspection($card);
        $inspectWhy = $inspection ? $this->floor->inspectWhy($card, $me) : null;
        $workWhy = $me->can('work', $card) && ! $card->worked() ? $this->fit->why($me, $card) : null;
        $left = $card->handovers->first();
        $may = array_keys(array_filter([
            'work' => $me->can('work', $card) && $workWhy === null,
            'hand' => $me->can('work', $card),
            'inspect' => $inspection && $me->can('inspect', $card) && $inspectWhy === null,
            'raise' => $me->can('raise', $card),
            'take' => $card->visit->kind === Visit::CHECK && ! $card->worked() && ! $me->can('work', $card)
                && $me->holds(Role::Technician, Role::Inspector, Role::Certifier),
            'begin' => $file->now->daysEarly > 0 && $me->can('begin', $card->visit),
        ]));

        return new CardView(
            $card->id,
            $card->number,
            $card->aircraft->mark,
            $card->aircraft->type->code,
            $card->aircraft->effectivity,
            $card->title,
            $card->chapter(),
            $card->template->section,
            $card->template->manual->code,
            $card->revision,
            $card->template->revisionInForce(),
            $card->template->method,
            $this->floor->hold($card),
            $card->skill,
            $card->zone,
            $card->independent_inspection,
            $card->covers,
            $card->state->value,
            $card->version,
            $card->hours,
            $card->visit_id,
            $card->visit->title,
            $this->sentence($card, $next, $holds[$next?->no] ?? []),
            $next?->no,
            $card->signer === null
                ? null
                : "{$card->signer->name} ({$card->signer->stamp}), "
                .$this->clock->local($card->signed_at),
            $card->inspector === null
                ? null
                : "{$card->inspector->name} ({$card->inspector->stamp}), ".$this->clock->local(
                    $card->inspected_at,
                ),
            array_values($card->assignments->map(static fn(Assignment $a): string => $a->person->name.match ($a->role) {
                'duplicate' => ' (inspects)', 'trainee' => ' (under supervision)', default => '',
            })->all()),
            $may,
            $inspectWhy,
            $workWhy === null ? null : "{$me->name} {$workWhy}.",
            $me->can('work', $card) ? $this->standings->away($me, $file, $removers) : [],
            array_map(
                fn(Acting $a): HoldView => FloorWords::actingHolds($a, $this->clock->time($a->since)),
                $file->now->on->actingOf((string) $card->id),
            ),
            $next === null && ! $card->worked() ? SignCard::statement($card, $me) : null,
            $card->finding === null ? null : $this->finding(
                $card->finding,
                $card->aircraft->mark,
                $card->finding->card,
            ),
            array_map(
                fn(PersonAt $p): PresenceView => new PresenceView(
                    (int) $p->id,
                    $p->name,
                    $this->clock->time($p->since),
                    (int) $p->id === $me->id,
                ),
                $file->now->on->at((string) $card->id),
            ),
            $this->crew($card),
            $left === null ? null : new HandoverView(
                $left->person->name,
                $left->person_id === $me->id,
                $this->clock->local($left->at),
                $left->state,
                $left->said,
                $left->taker?->name,
            ),
            $card->worked() ? '' : $this->handOver->state($file),
            $this->steps->all($file, $holds),
            array_values(
                $card->findings
                    ->map(fn(Finding $f): FindingView => $this->finding($f, $card->aircraft->mark, $card))
                    ->all(),
            ),
            $this->devices($fitted, $removers),
            $this->tools($card, $tools),
            $this->parts($card),
            array_map(
                fn(LoanOut $l): LoanView => new LoanView(
                    (int) $l->id,
                    $l->what,
                    $l->quantity,
                    $l->with,
                    $this->clock->time($l->since),
                ),
                $file->now->on->loansOf((string) $card->id),
            ),
            $this->revisions->questions($card->template->manual, $card->template->section),
            $this->waits($card),
            $this->proofs->open($file->now->on),
            $this->products($card),
            $card->visit->kind === Visit::CHECK,
            $this->lessons($file, $me),
            $card->state === Card::OPEN && RenewCard::newer($card, $card->template) ? $card->template->version : null,
            array_values(Figure::of($card->steps->pluck('spec'), $card->template->type_id)->map(
                static fn(Figure $f): FigureView => FigureView::of($f, $card->aircraft->type->code),
            )->all()),
            $this->tests->of($card),
            ...$this->clocked($card),
        );
    }

    /** @return array{list<ClockedView>, float|null} how long each was at it, and all of them in hours */
    private function clocked(Card $card): array
    {
        $now = $this->clock->now();
        $of = $card->clockings->groupBy('person_id');
        $seconds = $of->map(static fn(Collection $c): int => $c->sum(static fn(Clocking $k): int => $k->seconds($now)));
        $hours = round($seconds->sum() / 3600, 1);

        return [
            array_values($of->map(static fn(Collection $c, int $person): ClockedView => new ClockedView(
                $c->firstOrFail()->person->name,
                FloorWords::lasted($seconds[$person] ?? 0),
                $c->contains(static fn(Clocking $k): bool => $k->until === null),
            ))->all()),
            $hours > 0 ? $hours : null,
        ];
    }

    /**
     * What is shown of a card beside its picture.
     *
     * @return Collection<int, Tool> of its readings, and of the kinds that its steps need, with the card that each is
     *   out on
     */
    private function more(Card $card): Collection
    {
        $card->load(['readings', 'findings']);
        $rigged = $card->steps->where('kind', 'rig');
        $rigged->isEmpty() ? null : $rigged->load('runs');
        $card->steps->each(
            static fn(Step $s) => $s->relationLoaded('runs') ? null : $s->setRelation('runs', $s->newCollection()),
        );
        $fixed = $card->finding_id === null ? null : Finding::with('card')->find($card->finding_id);
        $card->setRelation('finding', $fixed);
        $findings = $card->findings->concat(array_filter([$fixed]));
        $findings->isEmpty() ? null : $findings->load(['photos', 'before']);
        $kinds = $card->steps->flatMap(static fn(Step $s): array => $s->toolKinds())->unique();
        $tools = Tool::withCardOutOn()->where(static fn(Builder $q) => $q->whereIn(
            'tools.id',
            $card->readings->pluck('tool_id')->filter()->unique(),
        )->orWhereIn('kind', $kinds))
            ->orderBy('code')
            ->get();
        $byId = $tools->keyBy('id');
        $card->readings->each(static fn(Reading $r) => $r->setRelation('tool', $byId->get($r->tool_id)));
        $this->people->attach([
            'doer' => [$card->steps, 'done_by'], 'taker' => [$card->readings, 'person_id'],
            'raiser' => [$findings, 'raised_by'], 'clocked:person' => [$card->clockings, 'person_id'],
            'person' => [$card->handovers, 'person_id'], 'left:taker' => [$card->handovers, 'taken_by'],
            'signer' => [[$card], 'signed_by'], 'inspector' => [[$card], 'inspected_by'],
        ]);

        return $tools;
    }

    public function finding(Finding $f, string $mark, Card $card): FindingView
    {
        return new FindingView(
            $f->id,
            $f->number,
            $mark,
            $card->number,
            $card->id,
            $f->place,
            $f->extent,
            $f->severity->value,
            $f->chapter,
            $f->state->value,
            "{$f->raiser->name} ({$f->raiser->stamp})",
            $this->clock->local($f->raised_at),
            $f->photos->count(),
            $f->before === null
                ? null
                : "{$f->before->number}, "
                .$this->clock->words($f->before->raised_at->dayIn($this->clock->zone()))
                .": {$f->before->extent}"
                .($f->before->fixed_how === null ? '' : "; fixed: {$f->before->fixed_how}"),
        );
    }

    /**
     * @param Collection<int, SafingDevice> $devices
     * @param array<int, Step> $removers by device
     *
     * @return list<SafingView>
     */
    public function devices(Collection $devices, array $removers): array
    {

        return array_values($devices->map(function (SafingDevice $d) use ($removers): SafingView {
            $remover = $removers[$d->id] ?? null;
            $at = $d->fitted_at;

            return new SafingView(
                $d->id,
                $d->kind,
                $d->place,
                $d->flag,
                $d->card->number,
                $d->card_id,
                $this->clock->local($at),
                $d->fitter->name,
                $d->open_line,
                $d->against,
                $d->storage,
                $d->carrier?->number,
                $remover?->card_id,
                $remover?->no,
                $remover === null ? null : "step {$remover->no} of {$remover->card->number}",
                $at->dayIn($this->clock->zone())->daysUntil($this->clock->today()),
            );
        })->all());
    }

    /** @return list<string> who is at work at the aircraft's base today, where the card has a roll-call */
    private function crew(Card $card): array
    {
        if ($card->worked() || ! $card->steps->contains('kind', 'rollcall')) {
            return [];
        }
        $today = $this->clock->today();

        $people = Person::thereOn($today)->withMax(
            ['rotaDays as shift_today' => static fn(Builder $q) => $q->where('date', (string) $today)],
            'shift',
        )
            ->where('base', $card->aircraft->base)->orderBy('name')->get();
        $people->each(static fn(Person $p) => $p->setRelation(
            'rotaDays',
            new Collection($p->getAttribute('shift_today') === null ? [] : [new RotaDay([
                'date' => (string) $today,
                'shift' => $p->getAttribute('shift_today'),
            ])]),
        ));

        return array_values($people->filter(
            static fn(Person $p): bool => $p->shiftOn($today) !== null,
        )->map(static fn(Person $p): string => $p->name)->all());
    }

    /** @param list<HoldView> $holds of the next step */
    private function sentence(Card $card, ?Step $next, array $holds): string
    {
        return match (true) {
            $card->state === Card::CLOSED => "Card {$card->number} is closed.",
            $card->state === Card::SIGNED
                => "Card {$card->number} is signed and waits for its independent inspection, by somebody who did "
                    .'not work it.',
            $next === null => 'Every step is done. Sign the card with your stamp and PIN.',
            $holds !== [] => "Step {$next->no} is held by ".implode(
                ' and ',
                array_map(static fn(HoldView $h): string => $h->name, $holds),
            ).'.',
            $next->kind === 'inspection' => "Step {$next->no} waits for an independent inspection, by somebody who "
                .'did not work the card.',
            default => "Step {$next->no} of {$card->steps->count()}: {$next->title}.",
        };
    }

    /** @return list<StoppageView> */
    private function waits(Card $card): array
    {
        $card->loadMissing('stoppages.person');

        return array_values($card->stoppages->map(fn(Stoppage $w): StoppageView => new StoppageView(
            $w->id,
            $w->kind,
            $w->what,
            $card->steps->find($w->step_id)?->no,
            $w->person->name,
            $this->clock->local($w->since),
        ))->all());
    }

    /**
     * @param Collection<int, Tool> $tools
     *
     * @return list<ToolView> of the kinds its steps need, usable ones first
     */
    private function tools(Card $card, Collection $tools): array
    {
        $kinds = $card->steps->flatMap(static fn(Step $s): array => $s->toolKinds())->unique();
        $today = $this->clock->today();

        return array_values($tools->where('state', '!=', ToolState::OutOfUse)->whereIn('kind', $kinds)->toBase()
            ->map(static function (Tool $t) use ($today, $card): ToolView {
                [$on, $number] = [$t->getAttribute('out_on'), $t->getAttribute('out_number')];
                $why = $t->unusable($today) ?? ($on !== null && $on !== $card->id ? "is out on card {$number}" : null);

                return new ToolView(
                    $t->code,
                    $t->title,
                    $t->kind,
                    $t->unit,
                    $t->resolution,
                    $t->low,
                    $t->high,
                    (string) $t->cal_due,
                    $why === null,
                    $why,
                );
            })
            ->sortBy(static fn(ToolView $t): int => $t->usable ? 0 : 1)->all());
    }

    /** @return list<PartView> that its steps fit */
    private function parts(Card $card): array
    {
        $numbers = $card->steps->where('kind', 'part')->map(static fn(Step $s): string => $s->spec['part'])->unique();
        $today = $this->clock->today();

        return $numbers->isEmpty()
            ? []
            : array_values(Part::with('batches')->whereIn('number', $numbers)->orderBy('number')->get()
                ->map(static fn(Part $p): PartView => new PartView(
                    $p->number,
                    $p->title,
                    $p->one_time,
                    $p->effectivity === null || in_array($card->aircraft->effectivity, $p->effectivity, true),
                    $p->effectivity === null ? null : implode(', ', $p->effectivity),
                    BatchView::all($p->batches, $today),
                ))
                ->all());
    }

    /** @return list<LessonView> for whoever has no hand in it yet */
    private function lessons(CardFile $file, Person $me): array
    {
        return in_array((string) $me->id, $file->now->hands, true) ? [] : array_values(
            Lesson::unread($me->id, $file->card->template_id)
                ->map(fn(Lesson $l): LessonView => LessonView::of($l, $this->clock, $me->id))->all(),
        );
    }

    /** @return list<ProductView> */
    private function products(Card $card): array
    {
        $wanted = $card->steps->where('kind', 'consumable')->map(static fn(Step $s): string => $s->spec['product']);
        $today = $this->clock->today();

        return $wanted->isEmpty() ? [] : array_values(PartBatch::with('part')
            ->whereHas('part', static fn(Builder $q) => $q->whereIn('specification', $wanted->unique()))
            ->orderBy('expires')->orderBy('batch')->get()
            ->map(static fn(PartBatch $b): ProductView => new ProductView(
                (string) $b->part->specification,
                $b->batch,
                $b->part->title,
                trim("{$b->quantity} {$b->part->unit}"),
                $b->expires === null ? null : (string) $b->expires,
                $b->part->never ?? [],
                $b->spent($today),
            ))->all());
    }
}
