<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Person;
use App\Floor\Assignment;
use App\Floor\Card;
use App\Floor\Finding;
use App\Floor\HandCardOver;
use App\Floor\StepInput;
use App\Floor\WorkStep;
use App\Shared\Clock;
use App\Stores\ToolDesk;
use App\Visits\PlanVisit;
use App\Visits\Visit;
use Illuminate\Database\Eloquent\Collection;

/** Works the cards of a visit step by step, as its people would, and leaves one handed over. */
final readonly class FloorStory
{
    public function __construct(private WorkStep $work, private ToolDesk $desk, private HandCardOver $handOver, private Clock $clock, private PlanVisit $plan) {}

    /**
     * @param array<string, mixed> $story people by item; steps as `[item, who, step, answer, more?]`; small things out
     * @param Collection<string, Person> $people
     */
    public function live(Visit $visit, array $story, Collection $people): void
    {
        $cards = $visit->cards()->with('item')->get()->whereNotNull('item_id')->keyBy(static fn(Card $c): string => (string) $c->item?->code);
        foreach ($story['assign'] as $code => $logins) {
            foreach ($logins as $login) {
                $person = $people[$login];
                Assignment::create(['card_id' => $cards[$code]->id, 'person_id' => $person->id, 'role' => $person->trainee ? 'trainee' : 'perform', 'under_id' => $person->trainee ? $person->supervisor_id : null]);
            }
        }
        $this->open($visit, $people[$story['assign']['27-51'][0]]);
        foreach ($story['work'] as $line) {
            [$code, $login, $no, $do] = $line;
            $more = $line[4] ?? [];
            $card = $cards[$code]->refresh();
            ($this->work)($people[$login], $card, $no, new StepInput($card->version, $do, $more['entry'] ?? '', $more['entries'] ?? [], $more['tool'] ?? '', $more['note'] ?? ''));
        }
        ($this->plan)($visit->load('aircraft.type'), $people['ines'], 'planned with what is in work');
        [$code, $login, $what, $many] = $story['rags'];
        $this->desk->outSmall($people[$login], $cards[$code], $what, $many);
    }

    /** What comes before the work: induct, make safe, jacks, panels; each step worked, each card closed. */
    private function open(Visit $visit, Person $by): void
    {
        while (($card = $visit->cards()->with(['steps', 'waitsFor'])->whereIn('phase', ['induct', 'safe', 'open'])->where('state', Card::OPEN)->get()->first(static fn(Card $c): bool => $c->mustWaitFor() === null)) !== null) {
            foreach ($card->steps as $step) {
                ($this->work)($by, $card, $step->no, new StepInput($card->version, 'done'));
            }
            $now = (string) $this->clock->now();
            $card->update(['state' => Card::CLOSED, 'signed_by' => $by->id, 'signed_at' => $now, 'closed_at' => $now, 'spent' => $card->hours]);
        }
    }

    /**
     * @param array<string, string> $story the finding whose card is left, by whom, and what they say
     * @param Collection<string, Person> $people
     */
    public function handOver(array $story, Collection $people): void
    {
        $finding = Finding::with('fixCard')->where('place', $story['finding'])->firstOrFail();
        $card = $finding->fixCard()->firstOrFail();
        $this->handOver->give($people[$story['by']], $card, $card->version, $story['said']);
    }
}
