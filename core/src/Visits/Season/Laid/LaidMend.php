<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonChain;
use Jorvel\Core\Visits\Season\SeasonFixed;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;

/**
 * The least change that mends a season of which something no longer holds: what holds stays as it is, whatever that
 * costs; only what is in the way moves, as little as it can.
 *
 * Visits are put back one by one, the pinned ones and then the biggest first; one that no longer goes where it was
 * moves, with all that is in it, to the nearest day on which it goes, in its own bay where that has one; where there is
 * none, what would be overdue is taken out of it, and put where it costs least beside everything that stays. Then
 * visits whose cards take longer than their days are made longer, or moved by a few days to where they can be.
 */
final class LaidMend
{
    private const PASSES = 6;

    /** A visit of which an item would be overdue is moved by so many days at the most; rather the item is. */
    private const NEAR = 3;

    /** @var list<LaidVisit> put back so far */
    private array $kept = [];

    /** @var list<string> taken out of their visits */
    private array $out = [];

    /** @var array<array-key, Day> first day of the visit of an item: as it is put back, and until then as it was */
    private array $starts = [];

    /**
     * @param array<string, SeasonBay> $bays
     * @param array<array-key, SeasonItem> $items
     */
    private function __construct(
        private readonly SeasonGiven $given,
        private readonly array $bays,
        private readonly array $items,
    ) {}

    /**
     * @param list<LaidVisit> $visits
     * @param list<string> $pinned visits that stay where they are
     * @param int $milliseconds for finding places of what is taken out
     *
     * @return list<LaidVisit> visits in their order, those that are made anew behind them with ids `new-1`, …; one that
     *   has nothing left in it is gone; what could not be mended is as it was
     */
    public static function of(SeasonGiven $given, array $visits, array $pinned = [], int $milliseconds = 500): array
    {
        // What moves can bring forward what comes again after it.
        for ($pass = 0; $pass < self::PASSES && LaidSeason::judge($given, $visits)->troubles !== []; $pass++) {
            $visits = self::once($given, $visits, $pinned, $milliseconds);
        }

        return self::longEnough($given, $visits, $pinned);
    }

    /**
     * Those whose cards take longer than their days, longer: where they are, or near to it; else as they are.
     *
     * @param list<LaidVisit> $visits
     * @param list<string> $pinned
     *
     * @return list<LaidVisit>
     */
    private static function longEnough(SeasonGiven $given, array $visits, array $pinned): array
    {
        $mend = self::with($given, $visits);
        $mend->kept = $visits;
        foreach ($visits as $n => $visit) {
            $until = $visit->stands ? null : $visit->overruns();
            if ($until === null) {
                continue;
            }
            $mend->kept = array_values(array_filter($visits, static fn(LaidVisit $v): bool => $v->id !== $visit->id));
            $longer = $visit->at($visit->bay, $visit->start, $until);
            $visits[$n] = match (true) {
                $mend->goes($longer) => $longer,
                in_array($visit->id, $pinned, true) => $visit,
                default => $mend->nearest($longer, self::NEAR) ?? $visit,
            };
            $mend->starts = array_fill_keys($visit->items, $visits[$n]->start) + $mend->starts;
        }

        return $visits;
    }

    /** @param list<LaidVisit> $visits */
    private static function with(SeasonGiven $given, array $visits): self
    {
        $items = [];
        foreach ($given->items as $item) {
            $items[$item->is->id] = $item;
        }
        $mend = new self($given, array_column($given->bays, null, 'id'), $items);
        foreach ($visits as $visit) {
            $mend->starts += array_fill_keys($visit->items, $visit->start);
        }

        return $mend;
    }

    /**
     * @param list<LaidVisit> $visits
     * @param list<string> $pinned
     *
     * @return list<LaidVisit>
     */
    private static function once(SeasonGiven $given, array $visits, array $pinned, int $milliseconds): array
    {
        $mend = self::with($given, $visits);
        $order = array_flip(array_map(static fn(LaidVisit $v): string => $v->id, $visits));
        $hours = LaidSeason::judge($given, $visits)->hours;
        $stays = static fn(LaidVisit $v): int => match (true) {
            $v->stands => 0, in_array($v->id, $pinned, true) => 1, default => 2,
        };
        usort($visits, static fn(LaidVisit $a, LaidVisit $b): int => [
            $stays($a), -$hours[$a->id], $order[$a->id],
        ] <=> [$stays($b), -$hours[$b->id], $order[$b->id]]);
        $broken = [];
        foreach ($visits as $visit) {
            if ($stays($visit) < 2 || $mend->goes($visit)) {
                $mend->keep($visit);
            } else {
                $broken[] = $visit;
            }
        }
        foreach ($broken as $visit) {
            $mend->move($visit);
        }
        $mend->place($milliseconds);
        usort($mend->kept, static fn(LaidVisit $a, LaidVisit $b): int
            => ($order[$a->id] ?? PHP_INT_MAX) <=> ($order[$b->id] ?? PHP_INT_MAX));

        return $mend->kept;
    }

    private function keep(LaidVisit $visit): void
    {
        $this->kept[] = $visit;
        $this->starts = array_fill_keys($visit->items, $visit->start) + $this->starts;
    }

    /** @param list<string> $items */
    private function takeOut(array $items): void
    {
        foreach ($items as $id) {
            $this->out[] = $id;
            unset($this->starts[$id]);
        }
    }

    /** @return list<LaidTrouble> of a visit where it is, beside what is put back */
    private function troubles(LaidVisit $visit): array
    {
        return LaidSeason::one($this->given, $this->bays, $this->items, $visit, $this->kept, $this->starts);
    }

    private function goes(LaidVisit $visit): bool
    {
        return $this->troubles($visit) === [];
    }

    private function move(LaidVisit $visit): void
    {
        $there = $this->nearest($visit, self::NEAR) ?? $this->without($visit) ?? $this->nearest($visit);
        if ($there !== null) {
            $this->keep($there);

            return;
        }
        // Without what would be overdue where it is, or on the next day that it can have.
        $items = $visit->items;
        usort($items, fn(string $a, string $b): int
            => $this->items[$a]->is->latest->number <=> $this->items[$b]->is->latest->number);
        while ($items !== []) {
            $this->takeOut([array_shift($items)]);
            if ($items === [] && $visit->own <= 0) {
                return;
            }
            $there = $this->nearest($visit->holding($items));
            if ($there !== null) {
                $this->keep($there);

                return;
            }
        }
        if ($visit->own > 0) {
            $this->keep($visit->holding([]));
        }
    }

    /** The same visit where it is, without what would be overdue, where that is all and not the most of it. */
    private function without(LaidVisit $visit): ?LaidVisit
    {
        $late = [];
        foreach ($this->troubles($visit) as $trouble) {
            if ($trouble->kind !== LaidTroubleKind::Late || $trouble->item === null) {
                return null;
            }
            $late[] = $trouble->item;
        }
        if (2 * count($late) > count($visit->items)) {
            return null;
        }
        $this->takeOut($late);

        return $visit->holding(array_values(array_diff($visit->items, $late)));
    }

    /**
     * The same visit on the nearest day, a later before an earlier one and its own bay before others, where it goes; it
     * lasts at least as long. It moves to the first day of the span only where no other is to be had: that has begun.
     *
     * @param int|null $within days, both ways; as many as there are where null
     */
    private function nearest(LaidVisit $visit, ?int $within = null): ?LaidVisit
    {
        $from = $this->given->from->number;
        $last = $from + $this->given->days - 1;
        $bays = $this->given->bays;
        usort(
            $bays,
            static fn(SeasonBay $a, SeasonBay $b): int => ($b->id === $visit->bay) <=> ($a->id === $visit->bay),
        );
        $today = null;
        for ($by = 0; $by <= ($within ?? $this->given->days); $by++) {
            foreach ($by === 0 ? [0] : [$by, -$by] as $shift) {
                $start = $visit->start->number + $shift;
                if ($start < $from || $start > $last) {
                    continue;
                }
                foreach ($bays as $bay) {
                    if (! $bay->fits($visit->aircraft) || $bay->hours(Day::fromNumber($start)) <= 0) {
                        continue;
                    }
                    for ($end = $start + $visit->days() - 1; $end <= min($last, $start + $visit->days() + 20); $end++) {
                        $there = $visit->at($bay->id, Day::fromNumber($start), Day::fromNumber($end));
                        $why = $this->troubles($there);
                        if ($why === []) {
                            if ($start > $from || $by === 0) {
                                return $there;
                            }
                            $today ??= $there;
                        }
                        // A further day helps only where hours are what it lacks.
                        if (count($why) !== 1 || $why[0]->kind !== LaidTroubleKind::Short) {
                            break;
                        }
                    }
                }
            }
        }

        return $today;
    }

    /** Puts what was taken out where it costs least, beside everything that stays. */
    private function place(int $milliseconds): void
    {
        if ($this->out === []) {
            return;
        }
        $judged = LaidSeason::judge($this->given, $this->kept);
        $fixed = array_map(static fn(LaidVisit $v): SeasonFixed => $v->standing($judged), $this->kept);
        $items = array_values(array_filter(
            $judged->left,
            fn(SeasonItem $i): bool => in_array($i->is->id, $this->out, true),
        ));
        $plan = SeasonChain::plan($this->given->with($items, self::apart($fixed, $this->given)), $milliseconds);
        $into = array_column($plan->fixed, 'items', 'id');
        $this->kept = array_map(static fn(LaidVisit $v): LaidVisit => ($into[$v->id] ?? []) === []
            ? $v
            : $v->holding([...$v->items, ...$into[$v->id]]), $this->kept);
        $made = max([0, ...array_map(static fn(LaidVisit $v): int => str_starts_with($v->id, 'new-')
            ? (int) substr($v->id, 4)
            : 0, $this->kept)]);
        foreach ($plan->visits as $n => $visit) {
            $this->kept[] = LaidVisit::of(
                'new-'.($made + $n + 1),
                $visit['aircraft'],
                $visit['bay'],
                Day::parse($visit['start']),
                Day::parse($visit['end']),
                $visit['items'],
            );
        }
    }

    /**
     * Visits as they can stand together: one that does not go beside those before it takes no place, as it is in the
     * way of nothing that is asked here.
     *
     * @param list<SeasonFixed> $fixed
     *
     * @return list<SeasonFixed>
     */
    public static function apart(array $fixed, SeasonGiven $given): array
    {
        $bays = array_column($given->bays, null, 'id');
        $out = [];
        foreach ($fixed as $visit) {
            $twice = array_filter($out, static fn(SeasonFixed $o): bool => $o->aircraft === $visit->aircraft
                && $o->overlaps($visit));
            if ($twice !== []) {
                continue;
            }
            $full = false;
            for ($d = $visit->start->number; $d <= $visit->end->number && ! $full; $d++) {
                $full = count(array_filter($out, static fn(SeasonFixed $o): bool => $o->bay === $visit->bay
                    && $o->holds($d))) >= ($bays[$visit->bay ?? '']->atOnce ?? PHP_INT_MAX);
            }
            $out[] = $full
                ? SeasonFixed::of($visit->id, $visit->aircraft, null, $visit->start, $visit->end, $visit->free, 0.0)
                : $visit;
        }

        return $out;
    }
}
