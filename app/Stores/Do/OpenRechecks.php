<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Now\FloorCount;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\Recheck;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolRecall;
use App\Visits\Do\MakeCard;
use App\Visits\Do\PlanVisit;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Rows;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Visits\VisitStage;

/**
 * Opens the re-checks after a recall, all in one: for each card that rests on the tool, a card that takes its readings
 * again, in the visit that is said for its aircraft, or in one of its own on the days that are said.
 */
final readonly class OpenRechecks
{
    public function __construct(
        private RestsOn $rests,
        private MakeCard $make,
        private VisitFrame $frame,
        private PlanVisit $plan,
        private LoadBay $bays,
        private Records $records,
    ) {}

    /**
     * @param array<string, RecheckPlace> $places by aircraft
     *
     * @return int how many cards were opened; none when all are open already
     *
     * @throws Refused when a type has no template to make them from, or it is not said where an aircraft's are made
     */
    public function __invoke(Person $by, ToolRecall $recall, array $places): int
    {
        return DB::transaction(function () use ($by, $recall, $places): int {
            $recall->loadMissing('tool');
            $rows = $this->rests->readings($recall)->concat($this->rests->uses($recall))->groupBy('card_id');
            $open = Recheck::where('recall_id', $recall->id)->pluck('card_id')->all();
            $cards = Card::with([
                'steps',
                'aircraft.type',
                'aircraft.fleet',
                'visit',
            ])->whereIn('id', $rows->keys()->diff($open))
                ->orderBy('id')
                ->get();
            $templates = CardTemplate::where('makes', 'fix')->get()->keyBy('type_id');
            foreach ($cards->groupBy('aircraft_id') as $of) {
                $mark = $of->firstOrFail()->aircraft->mark;
                $this->forAircraft($by, $recall, $places[$mark] ?? throw Refused::because(
                    "Say where and when the re-checks of {$mark} are made. Nothing was opened.",
                ), $of, $rows, $templates);
            }

            return $cards->count();
        });
    }

    /**
     * @param Collection<int, Card> $cards
     * @param Rows<array-key, Rows<int, \stdClass>> $rows
     * @param Collection<int, CardTemplate> $templates
     */
    private function forAircraft(
        Person $by,
        ToolRecall $recall,
        RecheckPlace $place,
        Collection $cards,
        Rows $rows,
        Collection $templates,
    ): void {
        $aircraft = $cards->firstOrFail()->aircraft;
        $template = $templates->get($aircraft->type_id) ?? throw Refused::because(
            "There is no card template for re-checks of the {$aircraft->type->code}. Add one in Library; nothing "
                .'was opened.',
        );
        $visit = $this->visit($aircraft, $recall->tool, $place);
        $visit->setRelation('aircraft', $aircraft);
        $n = $visit->cardsMade();
        FloorCount::up($visit->aircraft_id);
        foreach ($cards as $card) {
            $again = clone $template;
            $again->steps = [$template->steps[0], ...$this->steps($card, $rows[$card->id] ?? collect())];
            $made = ($this->make)($visit, $again, ++$n, [
                'title' => "Re-check after {$recall->tool->code}: {$card->title}", 'makes' => Card::RECHECK,
                'stage' => VisitStage::Test, 'skill' => $card->skill, 'needs' => [$card->skill => 1],
                'hours' => max(0.5, 0.25 * (count($again->steps) - 1)), 'zone' => $card->zone,
                'independent_inspection' => $card->independent_inspection,
                'covers' => $card->covers, 'systems' => $card->systems,
                'tools' => $again->toolKinds(),
            ]);
            Recheck::create(['recall_id' => $recall->id, 'card_id' => $card->id, 'by_card_id' => $made->id]);
            $this->records->write(
                $by,
                'recheck.opened',
                "card:{$made->id}",
                ['number' => $made->number, 'tool' => $recall->tool->code, 'for' => $card->number],
            );
        }
        $this->frame->complete($visit);
        ($this->plan)($visit->load('aircraft.type'), $by, "re-checks after {$recall->tool->code}");
    }

    private function visit(Aircraft $aircraft, Tool $tool, RecheckPlace $place): Visit
    {
        if ($place->visit !== null) {
            return Visit::where('aircraft_id', $aircraft->id)->whereNot('state', Visit::RELEASED)
                ->where('between', false)->find($place->visit)
                ?? throw Refused::stale(
                    "The visit of {$aircraft->mark} is released or cancelled by now, or for washes only. Choose "
                        .'another; nothing was opened.',
                    $aircraft->mark,
                );
        }
        [$start, $end] = [$place->start, $place->end];
        if ($start === null || $end === null) {
            throw Refused::because(
                "Say on which days the re-checks of {$aircraft->mark} are made. Nothing was opened.",
            );
        }
        $this->bays->requireDays($start, $end, "Nothing was opened: {$aircraft->mark}.");
        $this->bays->requireApart($aircraft, $start, $end, 'Choose that visit, or other days; nothing was opened.');

        return Visit::create([
            'aircraft_id' => $aircraft->id,
            'title' => "Re-check after {$tool->code}",
            'bay' => Visit::LINE,
            'start' => (string) $start,
            'end' => (string) $end,
            'state' => Visit::PLANNED,
        ]);
    }

    /**
     * The same readings once more, against the same limits; what the tool was only used for is looked at again.
     *
     * @param Rows<int, \stdClass> $rows
     *
     * @return list<array<string, mixed>>
     */
    private function steps(Card $card, Rows $rows): array
    {
        $steps = [];
        foreach ($rows as $row) {
            $step = $card->steps->firstWhere('id', $row->step_id);
            $spec = $step === null ? [] : $step->readingSpec($row->point ?? '');
            $key = $row->step_id.'/'.($row->point ?? '');
            $steps[$key] = match (true) {
                isset($spec['limit']) => [
                    'kind' => $step?->kind === 'torque' ? 'torque' : 'measurement',
                    'title' => "Read again: {$row->point}",
                    'text' => "Read {$row->value} {$row->unit} on card {$card->number}, step {$step?->no}.",
                    'spec' => ['reading' => [...$spec, 'point' => $row->point]],
                ],
                $step?->kind === 'compare' => [
                    'kind' => 'compare',
                    'title' => "Compare again: {$step->title}",
                    'text' => $step->text,
                    'spec' => $step->spec,
                ],
                default => [
                    'kind' => 'instruction',
                    'title' => 'Do again: '.($step->title ?? 'the step'),
                    'text' => "The tool was used at step {$step?->no} of card {$card->number}.",
                ],
            };
            if ($step?->kind === 'compare') {
                $steps[$row->step_id.'/'] = $steps[$key];
                unset($steps[$key]);
            }
        }

        return array_values($steps);
    }
}
