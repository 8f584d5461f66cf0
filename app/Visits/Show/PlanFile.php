<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\Model\Card;
use App\Shared\Calendar;
use App\Shared\Clock;
use App\Shared\Csv;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Instant;

/** A visit's plan, to be taken away: CSV for a spreadsheet, iCalendar for a calendar program. */
final readonly class PlanFile
{
    public function __construct(private Clock $clock) {}

    public function csv(int $id): string
    {
        $visit = $this->visit($id);

        return Csv::write(['card', 'title', 'phase', 'state', 'zone', 'skill', 'people', 'hours', 'starts', 'ends', 'latest_start', 'decides_exit', 'waits_for'], $visit->cards->map(static fn(Card $c): array => [
            $c->number, $c->title, $c->phase, $c->state, $c->zone, $c->skill, array_sum($c->needs ?? [1]), $c->hours,
            $c->begun_at ?? $c->planned_start, $c->closed_at ?? $c->planned_end, $c->latest_start, $c->on_chain ? 'yes' : 'no', $c->waitsFor->pluck('number')->implode(' '),
        ])->all());
    }

    public function calendar(int $id): string
    {
        $visit = $this->visit($id);
        $calendar = new Calendar("Jorvel: {$visit->aircraft->mark} {$visit->title}", $this->clock->now());
        foreach ($visit->cards as $card) {
            $from = $card->begun_at ?? $card->planned_start;
            $to = $card->closed_at ?? $card->planned_end;
            if ($from !== null && $to !== null) {
                $calendar->addTimed("card-{$card->id}", Instant::parse($from), Instant::parse($to), "{$visit->aircraft->mark} {$card->number} {$card->title}", "{$card->zone}, {$card->skill}, {$card->hours} h, {$card->state}");
            }
        }

        return $calendar->text();
    }

    private function visit(int $id): Visit
    {
        return Visit::with(['aircraft', 'cards.waitsFor:id,number'])->findOrFail($id);
    }
}
