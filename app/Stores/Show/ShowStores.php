<?php

declare(strict_types=1);

namespace App\Stores\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector;
use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Do\RestsOn;
use App\Stores\Model\Part;
use App\Stores\Model\Recheck;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolCheckEntry;
use App\Stores\Model\ToolLoan;
use App\Stores\Model\ToolRecall;
use App\Stores\Model\ToolState;
use App\Stores\Show\View\CheckLine;
use App\Stores\Show\View\LoanRow;
use App\Stores\Show\View\RecallView;
use App\Stores\Show\View\RecheckVisit;
use App\Stores\Show\View\RestingAircraft;
use App\Stores\Show\View\RestingCard;
use App\Stores\Show\View\RestingReading;
use App\Stores\Show\View\StoresView;
use App\Stores\Show\View\StoreTool;
use App\Stores\Show\View\ToolRoom;
use App\Stores\StoreWords;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;
use LogicException;

/** What the room Stores shows. */
final readonly class ShowStores
{
    private const ORDER = ['stop' => 0, 'watch' => 1, 'waiting' => 2, 'clear' => 3];

    /** Days from today of which flights are named where an aircraft's re-checks are to be placed. */
    private const FLIES = 7;

    public function __construct(private Clock $clock, private RestsOn $rests, private ShowParts $parts) {}

    public function all(Person $me): StoresView
    {
        $readings = Reading::whereNotNull('tool_id')->selectRaw('tool_id, count(*) as n')
            ->groupBy('tool_id')
            ->pluck('n', 'tool_id');
        $tools = Tool::with(['loan.card', 'loan.person'])->whereNot('state', ToolState::OutOfUse)
            ->orderBy('code')
            ->get()
            ->map(fn(Tool $t): StoreTool => $this->tool($t, (int) ($readings[$t->id] ?? 0)))
            ->sortBy(static fn(StoreTool $t): array => [self::ORDER[$t->state], $t->code])->values();
        $loans = ToolLoan::with(['card.aircraft', 'person'])->whereNull('in_at')
            ->orderBy('out_at')
            ->orderBy('id')
            ->get();
        $recalled = Tool::where('state', ToolState::Recalled)->orderBy('code')->pluck('code');
        $parts = $this->parts->all();

        return new StoresView(
            StoreWords::tools($tools->count(), array_values($recalled->all()), $tools->where('state', 'stop')->count()),
            ShowParts::sentence($parts),
            StoreWords::out($loans->count()),
            $tools->all(),
            $parts,
            array_values($loans->map(fn(ToolLoan $l): LoanRow => new LoanRow(
                $l->id,
                $l->what,
                $l->quantity,
                $l->card->number,
                $l->card_id,
                $l->card->aircraft->mark,
                $l->person->name,
                $this->clock->local($l->out_at),
            ))->all()),
            $this->may($me),
        );
    }

    public function one(string $code, Person $me): ToolRoom
    {
        $tool = Tool::with(['loan.card', 'loan.person'])->where('code', $code)->firstOrFail();
        $checks = ToolCheckEntry::with('person')->where('tool_id', $tool->id)
            ->orderByDesc('date')
            ->orderByDesc('id')
            ->get();
        $recall = ToolRecall::where('tool_id', $tool->id)->orderByDesc('id')->first();
        $view = $this->tool($tool, Reading::where('tool_id', $tool->id)->count());
        $reach = $recall === null ? null : $this->recall($recall);
        $recalled = $tool->state === ToolState::Recalled;
        $sentence = match (true) {
            $reach === null || (! $recalled && ($reach->aircraft === [] || $reach->toClose === 0))
                => "{$tool->code} ".lcfirst($view->said).'.',
            default => StoreWords::doubt(
                $tool->code,
                $tool->state,
                $view->said,
                $reach->readings + $reach->uses,
                count($reach->aircraft),
                $reach->toOpen,
            ),
        };

        return new ToolRoom(
            $view,
            $sentence,
            array_values($checks->map(static fn(ToolCheckEntry $c): CheckLine => new CheckLine(
                (string) $c->date,
                $c->good,
                $c->note,
                $c->person?->name,
            ))->all()),
            $reach,
            $tool->state !== ToolState::OutOfUse,
            $tool->state === ToolState::AtCalibration,
            $this->may($me),
        );
    }

    public function recall(ToolRecall $recall): RecallView
    {
        $readings = $this->rests->readings($recall);
        $uses = $this->rests->uses($recall);
        $rechecks = Recheck::with('byCard')->where('recall_id', $recall->id)->get()->keyBy('card_id');
        $aircraft = [];
        $today = $this->clock->today();
        $all = $readings->concat($uses)->groupBy('mark')->sortKeys();
        $fleet = Aircraft::with(['sectors', 'visits' => static fn($q) => $q->whereNot('state', Visit::RELEASED)
            ->where('between', false)->orderBy('start')])->whereIn('mark', $all->keys())->get()->keyBy('mark');
        foreach ($all as $mark => $of) {
            $is = $fleet[$mark] ?? throw new LogicException("There is no aircraft {$mark}.");
            $aircraft[] = new RestingAircraft(
                (string) $mark,
                array_values($of->groupBy('card_id')->map(fn(Collection $rows): RestingCard => $this->card(
                    $rows,
                    $rechecks->get($rows->firstOrFail()->card_id),
                ))->all()),
                $of->pluck('card_id')->unique()->diff($rechecks->keys())->count(),
                array_values($is->visits->map(fn(Visit $v): RecheckVisit => new RecheckVisit(
                    $v->id,
                    "{$v->title}, {$v->bay}, ".($v->state === Visit::IN_WORK
                        ? 'in work until '.$this->clock->words($v->end)
                        : 'from '.$this->clock->words($v->start)),
                ))->all()),
                StoreWords::flies($is->sectors->filter(static fn(Sector $s): bool => $s->date->number >= $today->number
                    && $s->date->number <= $today->number + self::FLIES), $this->clock->words(...)),
            );
        }
        $cards = $readings->concat($uses)->pluck('card_id')->unique();

        return new RecallView(
            $recall->id,
            $recall->found_on,
            $recall->last_good,
            $recall->note,
            $readings->count(),
            $uses->count(),
            $aircraft,
            $cards->diff($rechecks->keys())->count(),
            (string) $today,
            (string) $today->plusDays((int) config('jorvel.recheck_days')),
            $cards->reject(static fn(int $id): bool => $rechecks->get($id)?->byCard->state === Card::CLOSED)->count(),
        );
    }

    /** @param Collection<int, \stdClass> $rows */
    private function card(Collection $rows, ?Recheck $recheck): RestingCard
    {
        $first = $rows->firstOrFail();

        return new RestingCard(
            $first->card_id,
            $first->number,
            $first->title,
            $first->visit_state,
            $recheck?->by_card_id,
            $recheck?->byCard->number,
            match (true) {
                $recheck === null => 'stop', $recheck->byCard->state === Card::CLOSED => 'clear', default => 'waiting',
            },
            array_values($rows->map(fn(\stdClass $r): RestingReading => new RestingReading(
                $r->point ?? 'used',
                $r->value ?? null,
                isset($r->unit) ? Unit::parse($r->unit)->label() : '',
                $r->verdict ?? '',
                $this->clock->local(Instant::parse($r->at)),
                $r->taker,
            ))->all()),
        );
    }

    private function tool(Tool $t, int $readings): StoreTool
    {
        $today = $this->clock->today();
        $why = $t->unusable($today);
        $days = $today->daysUntil($t->cal_due);
        $unit = Unit::parse($t->unit)->label();

        return new StoreTool(
            $t->code,
            $t->title,
            $t->kind,
            StoreWords::range($t->low, $t->high, $t->resolution, $unit),
            (string) $t->cal_due,
            match (true) {
                $why !== null => 'stop', $days <= config('jorvel.warn_days') => 'watch', default => 'clear',
            },
            $why ?? 'calibration runs out '.Words::fromNow($days),
            $t->place,
            $readings,
            $t->loan === null ? null : "{$t->loan->person->name}, card {$t->loan->card->number}",
        );
    }

    /** @return list<string> */
    private function may(Person $me): array
    {
        return array_keys(array_filter([
            'edit' => $me->can('edit', Tool::class),
            'count' => $me->can('count', Tool::class),
            'parts' => $me->can('edit', Part::class),
        ]));
    }
}
