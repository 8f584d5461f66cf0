<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use App\Visits\Show\View\BayBlock;
use App\Visits\Show\View\BaysView;
use App\Visits\Show\View\BayView;
use Jorvel\Core\Shared\Day;

/** The bays' calendar: what stands where, what is free, and when a bay is closed. */
final readonly class ShowBays
{
    private const DAYS = 100;

    private const WEEK = [1 => 'Mon', 2 => 'Tue', 3 => 'Wed', 4 => 'Thu', 5 => 'Fri', 6 => 'Sat', 7 => 'Sun'];

    public function __construct(private Clock $clock, private LoadFlying $flying) {}

    public function all(): BaysView
    {
        $from = $this->clock->today()->plusDays(-7);
        $visits = Visit::with('aircraft')->withSum('cards', 'hours')
            ->where('state', '!=', Visit::RELEASED)
            ->orderBy('start')
            ->get()
            ->groupBy('bay');
        $next = null;
        $bays = Bay::with('slots', 'closures')->orderBy('base', 'desc')
            ->orderBy('name')
            ->get()
            ->map(function (Bay $bay) use ($visits, $from, &$next): BayView {
                $blocks = $this->closed($bay, $from);
                foreach ($visits->get($bay->name) ?? [] as $v) {
                    $span = $this->flying->span($v);
                    $blocks[] = new BayBlock(
                        "visit-{$v->id}",
                        $v->state->value,
                        $v->title,
                        (string) $span->from,
                        (string) $span->to,
                        (float) $v->getAttribute('cards_sum_hours'),
                        $v->aircraft->mark,
                        $v->id,
                        '',
                    );
                }
                foreach ($bay->slots as $s) {
                    if ($s->end->number < $this->clock->today()->number) {
                        continue;
                    }
                    $shut = $bay->closed($s->start, $s->end);
                    $blocks[] = new BayBlock(
                        "slot-{$s->id}",
                        'free',
                        'free',
                        (string) $s->start,
                        (string) $s->end,
                        $s->hours,
                        null,
                        null,
                        $shut === null ? $s->note : "the bay is closed then: {$shut->why}",
                    );
                    $next = $shut === null && ($next === null || $s->start < $next[0])
                        ? [$s->start, $bay->name, $s->hours]
                        : $next;
                }

                return new BayView(
                    $bay->id,
                    $bay->name,
                    $bay->base,
                    $bay->people,
                    $bay->washes,
                    $this->hours($bay->hours),
                    $blocks,
                );
            })->all();
        $sentence = $next === null
            ? 'No bay has a free slot. Open one where an aircraft could stand.'
            : "{$next[1]} is free next, from ".$this->clock->words($next[0]).', for '
            .Words::number($next[2]).' h of work.';

        return new BaysView($sentence, (string) $from, self::DAYS, array_values($bays));
    }

    /** @return list<BayBlock> its closures, under what stands in it all the same */
    private function closed(Bay $bay, Day $from): array
    {
        $blocks = [];
        foreach ($bay->closures as $c) {
            if ($c->end->number >= $from->number) {
                $blocks[] = new BayBlock(
                    "closed-{$c->id}",
                    'closed',
                    $c->why,
                    (string) $c->start,
                    (string) $c->end,
                    0.0,
                    null,
                    null,
                    '',
                );
            }
        }

        return $blocks;
    }

    /** @param array<int, array{string, string}> $hours */
    private function hours(array $hours): string
    {
        $groups = [];
        foreach ($hours as $day => [$from, $until]) {
            $groups["{$from} to {$until}"][] = self::WEEK[(int) $day];
        }

        return implode(
            '; ',
            array_map(
                static fn(string $time, array $days): string
                    => (count($days) > 2 ? "{$days[0]} to ".$days[count($days) - 1] : implode(', ', $days))." {$time}",
                array_keys($groups),
                $groups,
            ),
        );
    }
}
