<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Now\FloorCount;
use App\Shared\Clock;
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
 * again, in the visit the aircraft is in, or in one of its own where it is in service.
 */
final readonly class OpenRechecks
{
    public function __construct(
        private RestsOn $rests,
        private MakeCard $make,
        private VisitFrame $frame,
        private PlanVisit $plan,
        private Clock $clock,
        private Records $records,
    ) {}

    /**
     * @return int how many cards were opened; none when all are open already
     *
     * @throws Refused when a type has no template to make them from
     */
    public function __invoke(Person $by, ToolRecall $recall): int
    {
        return DB::transaction(function () use ($by, $recall): int {
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
                $this->forAircraft($by, $recall, $of, $rows, $templates);
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
        Collection $cards,
        Rows $rows,
        Collection $templates,
    ): void {
        $aircraft = $cards->firstOrFail()->aircraft;
        $template = $templates->get($aircraft->type_id) ?? throw Refused::because(
            "There is no card template for re-checks of the {$aircraft->type->code}. Add one in Library; nothing "
                .'was opened.',
        );
        $visit = $this->visit($aircraft, $recall->tool);
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

    private function visit(Aircraft $aircraft, Tool $tool): Visit
    {
        $today = $this->clock->today();

        return Visit::where('aircraft_id', $aircraft->id)->whereNot('state', Visit::RELEASED)
            ->where('start', '<=', (string) $today->plusDays((int) config('jorvel.recheck_days')))
            ->orderBy('start')
            ->first()
            ?? Visit::create([
                'aircraft_id' => $aircraft->id,
                'title' => "Re-check after {$tool->code}",
                'bay' => Visit::LINE,
                'start' => (string) $today,
                'end' => (string) $today->plusDays((int) config('jorvel.recheck_days')),
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
