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

        return Csv::write([
            'card',
            'title',
            'stage',
            'state',
            'zone',
            'skill',
            'people',
            'hours',
            'starts',
            'ends',
            'latest_start',
            'decides_exit',
            'waits_for',
            'zone_of_times',
        ], $visit->cards->map(fn(Card $c): array => [
            $c->number, $c->title, $c->stage->value, $c->state->value, $c->zone, $c->skill,
            array_sum($c->needs ?? [1]), $c->hours,
            $this->local($c->begun_at ?? $c->planned_start), $this->local($c->closed_at ?? $c->planned_end),
            $this->local($c->latest_start), $c->on_chain ? 'yes' : 'no',
            $c->waitsFor->pluck('number')->implode(' '), $this->clock->zone()->getName(),
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
                $calendar->addTimed(
                    "card-{$card->id}",
                    $from,
                    $to,
                    "{$visit->aircraft->mark} {$card->number} {$card->title}",
                    "{$card->zone}, {$card->skill}, {$card->hours} h, {$card->state->value}",
                );
            }
        }

        return $calendar->text();
    }

    /** A time as the screen has it, in a form that spreadsheets read: 2026-05-07 06:00. */
    private function local(?Instant $at): ?string
    {
        return $at === null ? null : "{$at->dayIn($this->clock->zone())} {$this->clock->time($at)}";
    }

    private function visit(int $id): Visit
    {
        return Visit::with(['aircraft', 'cards.waitsFor:id,number'])->findOrFail($id);
    }
}
