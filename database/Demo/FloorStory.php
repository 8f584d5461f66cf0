<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Model\Person;
use App\Floor\Do\HandCardOver;
use App\Floor\Do\StepInput;
use App\Floor\Do\WorkStep;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Do\ToolDesk;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use LogicException;

/** Works the cards of a visit step by step, as its people would, and leaves one handed over. */
final readonly class FloorStory
{
    public function __construct(
        private WorkStep $work,
        private ToolDesk $desk,
        private HandCardOver $handOver,
        private Clock $clock,
        private PlanVisit $plan,
    ) {}

    /**
     * @param array<string, mixed> $story people by item; steps as `[item, who, local time, step, answer, more?]`; small
     *   things out
     * @param Collection<string, Person> $people
     */
    public function live(Visit $visit, array $story, Collection $people): void
    {
        $cards = $visit->cards()
            ->with('item')
            ->get()
            ->whereNotNull('item_id')
            ->keyBy(static fn(Card $c): string => (string) $c->item?->code);
        foreach ($story['assign'] as $code => $logins) {
            foreach ($logins as $login) {
                $person = $people[$login];
                Assignment::create([
                    'card_id' => $cards[$code]->id,
                    'person_id' => $person->id,
                    'role' => $person->trainee ? 'trainee' : 'perform',
                    'under_id' => $person->trainee ? $person->supervisor_id : null,
                ]);
            }
        }
        $this->open(
            $visit,
            $people[$story['open']['by']],
            array_values(array_map(static fn(string $login): Person => $people[$login], $story['open']['crew'])),
            $this->clock->at($this->clock->today(), $story['open']['from']),
            $story['open']['minutes'],
        );
        foreach ($story['work'] as $line) {
            [$code, $login, $time, $no, $do] = $line;
            $more = $line[5] ?? [];
            $card = $cards[$code]->refresh();
            $input = new StepInput(
                $card->version,
                $do,
                $more['entry'] ?? '',
                $more['entries'] ?? [],
                $more['tool'] ?? '',
                $more['note'] ?? '',
            );
            $this->clock->still($this->clock->at(
                $this->clock->today(),
                $time,
            ), function () use ($people, $login, $card, $no, $input): void {
                ($this->work)($people[$login], $card->id, $no, $input);
            });
        }
        ($this->plan)($visit->load('aircraft.type'), $people['ines'], 'planned with what is in work');
        [$code, $login, $time, $what, $many] = $story['rags'];
        $this->clock->still(
            $this->clock->at($this->clock->today(), $time),
            fn() => $this->desk->outSmall($people[$login], $cards[$code], $what, $many),
        );
    }

    /**
     * What comes before the work: induct, make safe, jacks, panels; each step worked, each card closed, so many minutes
     * apart.
     *
     * @param list<Person> $crew who stands at the places of a roll-call
     */
    private function open(Visit $visit, Person $by, array $crew, Instant $at, int $minutes): void
    {
        $open = static fn() => $visit->cards()->with(['steps', 'waitsFor'])
            ->whereIn('stage', ['induct', 'safe', 'open'])->where('state', Card::OPEN);
        while (($card = $open()->get()->first(
            static fn(Card $c): bool => $c->mustWaitFor() === null,
        )) !== null) {
            $this->clock->still($at, function () use ($by, $card, $crew): void {
                $version = $card->version;
                foreach ($card->steps as $step) {
                    foreach ($step->spec['places'] ?? [] as $n => $place) {
                        ($this->work)(
                            $by,
                            $card->id,
                            $step->no,
                            new StepInput($version++, 'call', (string) $place, note: $crew[$n]->name),
                        );
                    }
                    ($this->work)($by, $card->id, $step->no, new StepInput($version++, 'done'));
                }
            });
            DB::table('notices')->delete();
            $at = Instant::fromEpoch($at->epoch() + 60 * $minutes);
            $card->refresh()
                ->update([
                    'state' => Card::CLOSED,
                    'signed_by' => $by->id,
                    'signed_at' => (string) $at,
                    'closed_at' => (string) $at,
                    'spent' => $card->hours,
                ]);
            Presence::leave($by->id, $card->id, (string) $at);
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
        $this->clock->still($this->clock->at(
            $this->clock->today(),
            $story['at'],
        ), function () use ($people, $story, $card): void {
            $this->handOver->give($people[$story['by']], $card->id, $card->version, $story['said']);
        });
    }

    /**
     * @param array<string, string> $story the finding whose card is worked and signed today, by whom, from when until
     *   when
     * @param Collection<string, Person> $people
     */
    public function toInspect(array $story, Collection $people): void
    {
        $card = Finding::with('fixCard.steps')->where('place', $story['finding'])->firstOrFail()->fixCard
            ?? throw new LogicException("{$story['finding']} has no card");
        [$from, $until] = array_map(
            fn(string $time): string => (string) $this->clock->at($this->clock->today(), $time),
            [$story['from'], $story['until']],
        );
        $by = $people[$story['by']];
        Assignment::create(['card_id' => $card->id, 'person_id' => $by->id, 'role' => 'perform']);
        $card->steps->each(static fn(Step $s) => $s->update([
            'state' => Step::DONE,
            'done_by' => $by->id,
            'done_at' => $until,
            'result' => [],
        ]));
        // However its visit went: it waits for its inspection now.
        Finding::where('place', $story['finding'])->update([
            'state' => Finding::OPEN, 'fixed_how' => null, 'settled_at' => null,
        ]);
        $card->update([
            'closed_at' => null,
            'inspected_by' => null,
            'inspected_at' => null,
            'state' => Card::SIGNED,
            'begun_at' => $from,
            'signed_by' => $by->id,
            'signed_at' => $until,
            'spent' => $card->hours,
        ]);
    }
}
