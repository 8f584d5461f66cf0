<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Library\Model\Zone;
use App\Now\HangarHours;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitDay;
use App\Visits\Model\VisitPlan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Plan;
use Jorvel\Core\Visits\PlanCard;
use Jorvel\Core\Visits\PlanProblem;
use Jorvel\Core\Visits\PlanResult;
use Jorvel\Core\Visits\WorkHours;

/**
 * Plans a visit's open cards on real hours: puts them to the core's planner and writes what it answers on the cards.
 *
 * Whatever was begun comes first and keeps on; what the controller put first comes next; the rest flows round them.
 */
final readonly class PlanVisit
{
    /** Plans tried when a visit is made or a card has moved: the same answer on every machine, in a moment. */
    private const ROUNDS = 60;

    public function __construct(private Clock $clock, private HangarHours $hangar, private Records $records) {}

    /**
     * The visit as a problem for the planner, from an instant on.
     *
     * @param array<int, array{not_before?: string|null, first?: bool, hours?: float}> $suppose by card id, in place of
     *   what is saved
     * @param bool $stay no other card begins sooner than it does now
     *
     * @throws Refused naming the card that nobody can work, or the cards that wait for each other
     */
    public function ask(
        Visit $visit,
        Instant $from,
        array $suppose = [],
        bool $stay = false,
        ?VisitGround $ground = null,
    ): PlanAsk {
        $ground ??= $this->ground($visit, $from);
        $hours = $ground->hours;
        $there = $ground->there;
        $zones = $ground->zones;
        $cards = $ground->cards;
        $skills = array_map(static fn(array $many): int => max([0, ...$many]), $there);
        $place = array_flip($cards->modelKeys());
        $plan = [];
        foreach ($cards as $card) {
            $plan[] = $this->card(
                $visit,
                $card,
                $hours,
                $skills,
                $zones,
                $place,
                $suppose[$card->id]
                    ?? ($stay && $card->planned_start !== null ? ['stays' => $card->planned_start] : []),
            );
        }
        try {
            $problem = PlanProblem::of($plan, $skills, $zones, $there);
        } catch (InputError $e) {
            throw Refused::because(
                'These cards '.$e->getMessage().'. Take one of the waits away; the plan was left as it was.',
            );
        }

        return new PlanAsk(
            $problem,
            $hours,
            $cards,
            $this->onJacks($cards),
            array_values($cards->map(
                static fn(Card $c): float
                    => $c->planned_start === null ? INF : (float) $c->planned_start->epoch(),
            )->all()),
        );
    }

    /** What its plans are made on, from an instant on. */
    public function ground(Visit $visit, Instant $from): VisitGround
    {
        $visit->loadMissing('aircraft.type');
        // Those of the board, where it is at hand: one set of cards for the plan and for what is shown of it.
        $known = $visit->relationLoaded('cards') && $visit->cards->every(
            static fn(Card $c): bool => $c->relationLoaded('steps') && $c->relationLoaded('waitsFor'),
        );
        $cards = (
            $known ? $visit->cards : $visit->cards()->with(['steps', 'waitsFor:id'])->get()
        )->reject(static fn(Card $c): bool => $c->worked())
            ->values();
        $hours = $this->hangar->of($visit, $this->later($from, $visit));
        $zones = Zone::where('type_id', $visit->aircraft->type_id)->pluck('most', 'name')
            ->map(static fn(mixed $most): int => (int) $most)
            ->all();

        return new VisitGround($hours, $this->hangar->free($visit, $hours), $zones, $cards);
    }

    /** Plans a visit anew, saves it, and says why; what stands in the way is kept as the plan's problem. */
    public function __invoke(
        Visit $visit,
        ?Person $by,
        string $why,
        ?Instant $from = null,
        int $rounds = self::ROUNDS,
    ): void {
        if ($visit->kind === Visit::CHECK) {
            // A check on the line is worked where and when somebody stands there.
            return;
        }
        $from ??= $this->clock->now();
        try {
            $ask = $this->ask($visit, $from);
        } catch (Refused $e) {
            DB::transaction(fn() => $this->commit($visit, ['problem' => $e->getMessage()], $from, null, $why));

            return;
        }
        // Long enough to find a good one; nobody waits for the lock meanwhile.
        $this->save(
            $visit,
            $ask,
            Plan::of($ask->problem, Deadline::in(20_000), 1, $rounds, null, $ask->jacks),
            $by,
            $why,
            $from,
        );
    }

    /** Writes a plan on the cards. */
    public function save(
        Visit $visit,
        PlanAsk $ask,
        PlanResult $result,
        ?Person $by,
        string $why,
        ?Instant $from = null,
    ): void {
        DB::transaction(function () use ($visit, $ask, $result, $by, $why, $from): void {
            self::write($ask, $result);
            $exit = $result->makespan() === 0 ? null : $ask->hours->ends($result->makespan());
            $this->commit(
                $visit,
                ['exit' => $exit === null ? null : (string) $exit],
                $from ?? $this->clock->now(),
                $exit,
                $why,
            );
            $this->records->write(
                $by,
                'visit.planned',
                "visit:{$visit->id}",
                ['exit' => (string) $exit, 'cards' => count($ask->cards), 'why' => $why],
            );
        });
    }

    /** The times of all cards in one statement. */
    private static function write(PlanAsk $ask, PlanResult $result): void
    {
        $chain = array_flip($result->critical());
        $rows = [];
        foreach ($ask->cards as $c => $card) {
            $times = [
                'planned_start' => (string) $ask->hours->begins($result->starts[$c]),
                'planned_end' => (string) $ask->hours->ends($result->end($c)),
                'latest_start' => (string) $ask->hours->begins($result->latest[$c]),
                'on_chain' => isset($chain[$c]) && $result->latest[$c] === $result->starts[$c],
            ];
            $card->fill($times)->syncOriginalAttributes(array_keys($times));
            $rows[] = ['id' => $card->id, ...$times, 'on_chain' => (int) $times['on_chain']];
        }
        DB::update(
            "update cards set planned_start = json_extract(j.value, '$.planned_start'), planned_end = "
                ."json_extract(j.value, '$.planned_end'),
                latest_start = json_extract(j.value, '$.latest_start'), on_chain = json_extract(j.value, '$.on_chain')
                from json_each(?) as j where cards.id = json_extract(j.value, '$.id')",
            [json_encode($rows, JSON_THROW_ON_ERROR)],
        );
    }

    /** @param array<string, mixed> $result */
    private function commit(Visit $visit, array $result, Instant $at, ?Instant $exit, string $why): void
    {
        $plan = VisitPlan::firstOrNew(['visit_id' => $visit->id], ['version' => 0]);
        $plan->fill(['version' => $plan->version + 1, 'result' => $result, 'made_at' => (string) $at])->save();
        VisitDay::updateOrCreate(
            ['visit_id' => $visit->id, 'date' => (string) $at->dayIn($this->clock->zone())],
            ['exit' => $exit === null ? null : (string) $exit, 'why' => $why, 'made_at' => (string) $at],
        );
    }

    private function later(Instant $from, Visit $visit): Instant
    {
        $opens = Instant::firstAfter($visit->start->plusDays(-1), $this->clock->zone());

        return $from->isBefore($opens) ? $opens : $from;
    }

    /**
     * @param array<string, int> $skills most there is at once
     * @param array<string, int> $zones
     * @param array<int, int> $place by card id
     * @param array{not_before?: string|null, first?: bool, hours?: float, stays?: Instant} $suppose
     */
    private function card(
        Visit $visit,
        Card $card,
        WorkHours $hours,
        array $skills,
        array $zones,
        array $place,
        array $suppose,
    ): PlanCard {
        $needs = $card->needs ?? [$card->skill => 1];
        foreach ($needs as $skill => $many) {
            $most = $skills[$skill] ?? 0;
            if ($many > $most) {
                throw Refused::because(
                    "Card {$card->number} {$card->title} needs {$many} with the {$skill} skill; "
                        .($most === 0 ? 'nobody' : "at most {$most}")
                        ." with that and a {$visit->aircraft->type->code} rating is at "
                        ."work in {$this->hangar->base($visit)}. Ask for people, or give the card to another skill; "
                        .'the plan was left as it was.',
                );
            }
        }
        $heads = array_sum($needs);
        $zone = isset($zones[$card->zone]) ? $card->zone : null;
        $before = array_key_exists('not_before', $suppose) ? self::instant($suppose['not_before']) : $card->not_before;

        return new PlanCard(
            (string) $card->id,
            $hours->slots(($suppose['hours'] ?? $card->hoursLeft()) / $heads),
            [...$needs, '*' => min($heads, $skills['*'] ?? $heads)],
            array_values(array_filter(
                array_map(static fn(int $id): ?int => $place[$id] ?? null, $card->waitsFor->modelKeys()),
                is_int(...),
            )),
            $zone,
            $zone === null ? 0 : min($heads, $zones[$zone]),
            $card->configuration ?? [],
            max(
                $before === null ? 0 : $hours->at($before),
                isset($suppose['stays']) ? $hours->at($suppose['stays']) : 0,
            ),
            ($suppose['first'] ?? $card->first) || $card->state === Card::IN_WORK,
        );
    }

    private static function instant(?string $at): ?Instant
    {
        return $at === null ? null : Instant::parse($at);
    }

    /**
     * @param Collection<int, Card> $cards
     *
     * @return list<int>
     */
    private function onJacks(Collection $cards): array
    {
        return array_keys(array_filter(
            $cards->all(),
            static fn(Card $c): bool
                => in_array($c->makes, ['raise', 'lower'], true) || ($c->configuration['jacks'] ?? null) === 'on',
        ));
    }
}
