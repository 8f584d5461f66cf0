<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Now\LoadVisit;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use App\Visits\Show\ShowBoard;
use App\Visits\Show\View\BoardView;
use App\Visits\Show\View\MovedCard;
use App\Visits\Show\View\SlipRow;
use App\Visits\VisitWords;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Plan;
use Jorvel\Core\Visits\PlanResult;

/**
 * Moves a card on the board: the others keep their order and flow round it. Shown first with everything that it moves,
 * saved only when told.
 */
final readonly class MoveCard
{
    public function __construct(
        private Clock $clock,
        private PlanVisit $plan,
        private PlanRuns $runs,
        private ShowBoard $board,
        private LoadVisit $load,
        private Records $records,
    ) {}

    /**
     * What a move would do; nothing is saved, and nobody waits for it.
     *
     * @param float|null $slot of the board, at which it is to begin; null unpins it
     * @param bool $tighten the others close up, where that lets the aircraft leave sooner
     *
     * @throws Refused when the card is closed or in work, or the plan has changed meanwhile
     */
    public function preview(int $visitId, int $cardId, ?float $slot, int $version, bool $tighten = false): BoardView
    {
        $m = $this->move($visitId, $cardId, $slot, $version, $tighten);

        return $this->board($m, ...$this->laid($m));
    }

    /** The same, saved as it was shown. @throws Refused likewise */
    public function __invoke(
        Person $by,
        int $visitId,
        int $cardId,
        ?float $slot,
        int $version,
        bool $tighten = false,
    ): BoardView {
        $m = $this->move($visitId, $cardId, $slot, $version, $tighten);
        $laid = $this->laid($m);
        DB::transaction(function () use ($by, $m, $version): void {
            $this->runs->requireVersion($m->visit, $version);
            Card::whereKey($m->card->id)->update($m->set);
            $this->records->write($by, 'card.moved', "card:{$m->card->id}", ['number' => $m->card->number, ...$m->set]);
            $this->plan->save($m->visit, $m->ask, $m->result, $by, "{$m->card->number} was moved");
        });

        $m->visit->load('plan');

        return $this->board($m, ...$laid);
    }

    private function move(int $visitId, int $cardId, ?float $slot, int $version, bool $tighten): CardMove
    {
        $visit = $this->board->query($visitId);
        $to = $slot === null ? null : $this->load->hours($visit)->begins((int) round($slot));
        $card = $visit->cards->firstWhere('id', $cardId) ?? throw Refused::because('This card is not of this visit.');
        if ($card->state !== Card::OPEN) {
            throw Refused::because(
                "Card {$card->number} is ".($card->worked() ? 'worked' : 'in work').'; it cannot be moved any more.',
            );
        }
        PlanRuns::requireSame($visit->plan, $version);
        $was = $card->planned_start === null ? null : $card->planned_start;
        $set = [
            'not_before' => $to === null ? null : (string) $to,
            'first' => $to !== null && $was !== null && $to->isBefore($was),
        ];
        $ground = $this->plan->ground($visit, $this->clock->now());
        [$stay, $stays] = $this->around($visit, $ground, $cardId, $set, $to, true);
        [$flow, $flows] = $this->around($visit, $ground, $cardId, $set, $to, false);
        $sooner = max(0.0, $stay->hours->hours($stays->makespan() - $flows->makespan()));

        return new CardMove(
            $visit,
            $card,
            $set,
            $to,
            $tighten && $sooner > 0 ? $flow : $stay,
            $tighten && $sooner > 0 ? $flows : $stays,
            $tighten ? 0.0 : $sooner,
        );
    }

    /**
     * @return array{list<MovedCard>, string} what moves by it, and what it does to the exit; the visit's cards then
     *   bear the new times
     */
    private function laid(CardMove $m): array
    {
        $exit = $this->load->of($m->visit)->exit();
        $moved = $this->lay($m->visit, $m->ask, $m->result, $m->card->id);

        return [$moved, $this->effect($m->card, $m->to, $exit, $m->ask->hours->ends($m->result->makespan()))];
    }

    /** @param list<MovedCard> $moved */
    private function board(CardMove $m, array $moved, string $effect): BoardView
    {
        $m->card->fill($m->set)->syncOriginalAttributes(array_keys($m->set));

        return $this->board->of($m->visit, $moved, $effect, $m->sooner);
    }

    /**
     * What it does to the exit when a card takes so many hours longer than it should.
     *
     * @param list<float> $more
     *
     * @return list<SlipRow>
     */
    public function slip(int $visitId, int $cardId, array $more): array
    {
        $visit = $this->board->query($visitId);
        $card = $visit->cards->firstWhere('id', $cardId) ?? throw Refused::because('This card is not of this visit.');
        $exit = $this->load->of($visit)->exit();
        $ground = $card->worked() || $exit === null ? null : $this->plan->ground($visit, $this->clock->now());
        $rows = [];
        foreach ($ground === null ? [] : $more as $hours) {
            [$ask, $result] = $this->around(
                $visit,
                $ground,
                $cardId,
                ['hours' => $card->hoursLeft() + $hours * max(1, array_sum($card->needs ?? [1]))],
                null,
                true,
            );
            $leaves = $ask->hours->ends($result->makespan());
            $later = max(0.0, $ask->hours->hours($ask->hours->at($leaves) - $ask->hours->at($exit)));
            $moved = 0;
            foreach ($ask->cards as $c => $other) {
                $moved += $other->id !== $cardId
                    && (string) $ask->hours->begins($result->starts[$c]) > (string) $other->planned_start
                    ? 1
                    : 0;
            }
            $rows[] = new SlipRow(
                $hours,
                $later <= 0 ? 'the exit stays' : 'leaves '.$this->clock->local($leaves),
                $later,
                $moved,
            );
        }

        return $rows;
    }

    /**
     * The plan with one card otherwise.
     *
     * @param array{not_before?: string|null, first?: bool, hours?: float} $set
     * @param bool $stay the others stay where they are where they can; otherwise they close up
     *
     * @return array{PlanAsk, PlanResult}
     */
    private function around(Visit $visit, VisitGround $ground, int $cardId, array $set, ?Instant $to, bool $stay): array
    {
        $ask = $this->plan->ask($visit, $this->clock->now(), [$cardId => $set], $stay, $ground);

        return [$ask, Plan::inOrder($ask->problem, $this->keys($ask, $cardId, $to))];
    }

    /** @return list<float> */
    private function keys(PlanAsk $ask, int $cardId, ?Instant $to): array
    {
        $keys = $ask->now;
        foreach ($ask->cards as $c => $card) {
            if ($card->id === $cardId && $to !== null) {
                $keys[$c] = $to->epoch() - 0.5;
            }
        }

        return array_values($keys);
    }

    /**
     * Puts the plan's times on the visit's cards, unsaved.
     *
     * @return list<MovedCard> those that begin at another time than before
     */
    private function lay(Visit $visit, PlanAsk $ask, PlanResult $result, int $cardId): array
    {
        $moved = [];
        $chain = array_flip($result->critical());
        $byId = $visit->cards->keyBy('id');
        foreach ($ask->cards as $c => $asked) {
            $card = $byId->get($asked->id) ?? $asked;
            $from = $card->planned_start;
            $to = (string) $ask->hours->begins($result->starts[$c]);
            $card->fill([
                'planned_start' => $to,
                'planned_end' => (string) $ask->hours->ends($result->end($c)),
                'latest_start' => (string) $ask->hours->begins($result->latest[$c]),
                'on_chain' => isset($chain[$c]) && $result->latest[$c] === $result->starts[$c],
            ]);
            if ((string) $from !== $to && $card->begun_at === null) {
                $hours = $from === null ? 0.0 : $ask->hours->hours(
                    $ask->hours->at(Instant::parse($to)) - $ask->hours->at($from),
                );
                $moved[] = new MovedCard(
                    $card->id,
                    $card->number,
                    $card->title,
                    ($from === null ? '' : $this->clock->local($from).' → ')
                        .$this->clock->local(Instant::parse($to)),
                    $hours,
                );
            }
        }
        usort(
            $moved,
            static fn(MovedCard $a, MovedCard $b): int
                => ($b->id === $cardId) <=> ($a->id === $cardId) ?: abs($b->hours) <=> abs($a->hours),
        );

        return $moved;
    }

    private function effect(Card $card, ?Instant $to, ?Instant $was, Instant $exit): string
    {
        $begins = $card->planned_start;
        $waited = $to !== null && $to->isBefore($begins) && $begins->epoch() - $to->epoch() >= 1800
            ? " {$card->number} cannot begin sooner than ".$this->clock->local($begins)
            .': what it waits for, its people or its configuration are not there.'
            : '';
        return VisitWords::effect($was, $exit, $this->clock->local(...)).$waited;
    }
}
