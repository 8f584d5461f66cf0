<?php

declare(strict_types=1);

namespace App\Floor;

use App\Bench\RigRun;
use App\Crew\Person;
use App\Floor\View\CardRow;
use App\Floor\View\CardView;
use App\Floor\View\FindingView;
use App\Floor\View\FloorView;
use App\Floor\View\MoveView;
use App\Floor\View\ReadingView;
use App\Floor\View\RunView;
use App\Floor\View\SafingView;
use App\Floor\View\StepView;
use App\Floor\View\ToolView;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Tool;
use App\Visits\Visit;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** What the room Floor shows: the cards there are, and one card with everything on it. */
final readonly class ReadFloor
{
    public function __construct(private Clock $clock) {}

    public function cards(Person $me): FloorView
    {
        $open = Card::with(['aircraft', 'visit', 'steps', 'assignments', 'template.manual', 'waitsFor:id,number,title,state'])
            ->whereHas('visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))
            ->where('state', '!=', Card::CLOSED)->orderBy('id')->get();
        $planned = $open->pluck('planned_start', 'id');
        $cards = $open->map(fn(Card $c): CardRow => new CardRow(
            $c->id,
            $c->number,
            $c->aircraft->mark,
            $c->title,
            $c->state,
            $c->assignments->contains('person_id', $me->id),
            $c->state === Card::SIGNED,
            $this->hold($c),
            $c->steps->where('state', Step::DONE)->count(),
            $c->steps->count(),
            $c->zone,
            $c->visit->title,
        ))
            ->sortBy(static fn(CardRow $r): array => [$r->mine ? 0 : 1, $r->state === Card::IN_WORK ? 0 : 1, $planned[$r->id] ?? '', $r->id])->values();
        $mine = $cards->where('mine', true);
        $next = $mine->first(static fn(CardRow $r): bool => $r->hold === null && $r->state !== Card::SIGNED);
        $waiting = $cards->where('inspection', true)->count();
        $sentence = match (true) {
            $cards->isEmpty() => 'No card is open. Cards come here when the controller makes a visit.',
            $next !== null => "Your next card: {$next->number} on {$next->mark}, {$next->title}.",
            $waiting > 0 => $waiting === 1 ? 'One card waits for an independent inspection.' : "{$waiting} cards wait for an independent inspection.",
            default => 'None of the open cards is yours.',
        };

        return new FloorView($sentence, $cards->all());
    }

    public function card(Card $card, Person $me): CardView
    {
        $card->load(['steps.doer', 'steps.runs', 'readings.tool', 'readings.taker', 'aircraft.type', 'visit', 'template.manual', 'assignments.person', 'findings.raiser', 'signer', 'inspector', 'waitsFor:id,number,title,state']);
        $safing = SafingDevice::with(['card.steps', 'fitter'])->where('aircraft_id', $card->aircraft_id)->whereNull('removed_at')->get();
        $next = $card->steps->first(static fn(Step $s): bool => $s->state !== Step::DONE);
        $may = array_keys(array_filter([
            'work' => $me->can('work', $card),
            'inspect' => $me->can('inspect', $card) && $card->state === Card::SIGNED,
            'raise' => $me->can('raise', $card),
        ]));

        return new CardView(
            $card->id,
            $card->number,
            $card->aircraft->mark,
            $card->aircraft->type->code,
            $card->title,
            $card->template->chapter,
            $card->template->manual->code,
            $card->revision,
            $card->template->manual->revision,
            $this->hold($card),
            $card->skill,
            $card->zone,
            $card->critical,
            $card->state,
            $card->version,
            $card->hours,
            $card->visit_id,
            $card->visit->title,
            $this->sentence($card, $next),
            $next?->no,
            $card->signer === null ? null : "{$card->signer->name} ({$card->signer->stamp}), ".$this->clock->local(Instant::parse((string) $card->signed_at)),
            $card->inspector === null ? null : "{$card->inspector->name} ({$card->inspector->stamp}), ".$this->clock->local(Instant::parse((string) $card->inspected_at)),
            array_values($card->assignments->map(static fn(Assignment $a): string => $a->person->name.($a->role === 'duplicate' ? ' (inspects)' : ''))->all()),
            $may,
            array_values($card->steps->map(fn(Step $s): StepView => $this->step($card, $s))->all()),
            array_values($card->findings->map(fn(Finding $f): FindingView => $this->finding($f, $card->aircraft->mark, $card))->all()),
            array_values($safing->map(fn(SafingDevice $d): SafingView => $this->device($d))->all()),
            $this->tools($card),
        );
    }

    /** What is said of a reading, in words. */
    public static function said(string $verdict, ?float $margin, string $unit): string
    {
        $by = $margin === null ? '' : Words::number(abs($margin), 3).' '.Unit::parse($unit)->label();

        return match (Verdict::from($verdict)) {
            Verdict::Pass => "inside, {$by} in hand",
            Verdict::Fail => "outside by {$by}",
            Verdict::Marginal => 'too near the limit for this tool: within its uncertainty',
            Verdict::Invalid => 'not a valid reading',
        };
    }

    public function finding(Finding $f, string $mark, Card $card): FindingView
    {
        return new FindingView($f->id, $f->number, $mark, $card->number, $card->id, $f->place, $f->extent, $f->state, "{$f->raiser->name} ({$f->raiser->stamp})", $this->clock->local(Instant::parse($f->raised_at)));
    }

    private function hold(Card $card): ?string
    {
        $first = $card->mustWaitFor();
        if ($first !== null) {
            return "waits for {$first->number} {$first->title}";
        }

        $now = $card->template->manual->revision;

        return $card->revisionCurrent() ? null : "Written from revision {$card->revision}; {$card->template->manual->code} is at revision {$now}. It must be re-read and accepted before anyone starts.";
    }

    private function sentence(Card $card, ?Step $next): string
    {
        return match (true) {
            $card->state === Card::CLOSED => "Card {$card->number} is closed.",
            $card->state === Card::SIGNED => "Card {$card->number} is signed and waits for its independent inspection, by somebody who did not work it.",
            $next === null => 'Every step is done. Sign the card with your stamp and PIN.',
            default => "Step {$next->no} of {$card->steps->count()}: {$next->title}.",
        };
    }

    private function step(Card $card, Step $step): StepView
    {
        $order = array_values($card->steps->map(static fn(Step $s): array => [$s->no, $s->state === Step::DONE, $s->kind === 'finding_prompt'])->all());
        $before = $step->state === Step::DONE ? null : StepOrder::blocking($order, $step->no);
        $held = $step->started_at === null ? null : max(0, $this->clock->now()->epoch() - Instant::parse($step->started_at)->epoch());

        return new StepView(
            $step->no,
            $step->kind,
            $step->title,
            $step->text,
            (object) $step->spec,
            $step->state,
            $before === null ? null : "Step {$before} comes first.",
            $step->started_at,
            $held,
            $step->doer === null ? null : "{$step->doer->name} ({$step->doer->stamp})",
            $step->done_at === null ? null : $this->clock->local(Instant::parse($step->done_at)),
            array_values($card->readings->where('step_id', $step->id)->map(fn(Reading $r): ReadingView => new ReadingView(
                $r->point,
                $r->phase,
                $r->run,
                $r->value,
                Unit::parse($r->unit)->label(),
                $r->verdict,
                self::said($r->verdict, $r->margin, $r->unit),
                $r->tool?->code,
                $r->taker->name,
                $this->clock->local(Instant::parse($r->at)),
                $r->stands,
            ))->all()),
            array_values($step->runs->map(fn(RigRun $r): RunView => $this->run($step, $r))->all()),
        );
    }

    private function run(Step $step, RigRun $run): RunView
    {
        $adjusters = array_column($step->spec['adjusters'], null, 'id');
        $points = array_column($step->spec['points'], 'title', 'id');
        $moves = array_map(static function (array $m) use ($adjusters): MoveView {
            $a = $adjusters[$m['adjuster']];
            $way = match ($m['direction']) {
                'cw' => 'clockwise', 'ccw' => 'counter-clockwise', 'lengthen' => 'longer', 'shorten' => 'shorter', 'raise' => 'up', default => 'down',
            };

            return new MoveView($m['adjuster'], $a['title'], $m['amount'], $a['unit'], $m['direction'], Words::number($m['amount'], 2)." {$a['unit']} {$way}");
        }, $run->solution['moves']);
        $unmet = array_map(static fn(string $id): string => $points[$id] ?? $id, $run->solution['unmet']);
        $sentence = match (true) {
            $moves === [] && $unmet === [] => 'All readings are inside. Nothing needs turning; read once more to confirm.',
            $unmet !== [] => 'The adjusters cannot bring everything in. Outside stays: '.implode(', ', $unmet).'.',
            default => (count($moves) === 1 ? 'One adjuster brings' : count($moves).' adjusters bring').' every reading inside its limits.',
        };

        return new RunView(
            $run->no,
            (object) $run->as_found,
            (object) $run->solution['predicted'],
            (object) ($run->as_left ?? []),
            $run->as_left !== null,
            $run->solution['within'],
            $moves,
            array_values(array_map(static fn(string $id): string => $points[$id] ?? $id, $run->solution['recheck'])),
            $unmet,
            $sentence,
        );
    }

    private function device(SafingDevice $d): SafingView
    {
        $remover = $d->card->steps->first(static fn(Step $s): bool => $s->kind === 'safing_remove' && ! isset($s->spec['made']) && $d->card->steps->firstWhere('id', $d->fitted_step_id)?->no === $s->spec['of']);

        return new SafingView($d->id, $d->kind, $d->place, $d->flag, $d->card->number, $d->card_id, $this->clock->local(Instant::parse($d->fitted_at)), $d->fitter->name, $remover?->no);
    }

    /** @return list<ToolView> of the kinds its steps need, usable ones first */
    private function tools(Card $card): array
    {
        $kinds = $card->steps->map(static fn(Step $s): ?string => $s->spec['tool_kind'] ?? $s->spec['reading']['tool_kind'] ?? null)->filter()->unique();
        $today = $this->clock->today();

        return array_values(Tool::whereIn('kind', $kinds)->orderBy('code')->get()
            ->map(static function (Tool $t) use ($today): ToolView {
                $why = $t->unusable($today);

                return new ToolView($t->code, $t->title, $t->kind, $t->unit, $t->resolution, $t->cal_due, $why === null, $why);
            })
            ->sortBy(static fn(ToolView $t): int => $t->usable ? 0 : 1)->all());
    }
}
