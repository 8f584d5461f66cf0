<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Shared\Calendar;
use App\Shared\Clock;
use App\Shared\Csv;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;

/** The season as it is kept: as CSV, as iCalendar, and a sheet a month. */
final readonly class SeasonFiles
{
    public function __construct(private Clock $clock) {}

    public function csv(int $days): string
    {
        $today = $this->clock->today();

        return Csv::write(
            ['aircraft', 'type', 'base', 'visit', 'state', 'where', 'first_day', 'last_day', 'cards', 'hours', 'items'],
            $this->visits($today, $today->plusDays($days - 1))->map(static fn(Visit $v): array => [
                $v->aircraft->mark, $v->aircraft->type->code, $v->aircraft->base, $v->title, $v->state->value, $v->bay,
                (string) $v->start, (string) $v->end, $v->cards->count(), (float) $v->cards->sum('hours'),
                self::items($v),
            ])->all(),
        );
    }

    public function calendar(int $days): string
    {
        $today = $this->clock->today();
        $calendar = new Calendar('Jorvel: the season', $this->clock->now());
        foreach ($this->visits($today, $today->plusDays($days - 1)) as $visit) {
            $calendar->add(
                "visit-{$visit->id}",
                $visit->start,
                $visit->end,
                "{$visit->aircraft->mark} {$visit->title}",
                "{$visit->bay}; ".self::items($visit),
            );
        }

        return $calendar->text();
    }

    /**
     * A sheet of one month: the fleet down, the days across, each visit with its title where there is room.
     *
     * @param string $month `2026-05`
     * @param string $size `A4` or `A3`
     */
    public function sheet(string $month, string $size): SeasonSheet
    {
        $from = Day::parse("{$month}-01");
        $to = $from->plusMonths(1)->plusDays(-1);
        $fleet = Aircraft::with('type')->orderBy('mark')->get();

        return SeasonSheet::of($from, $to, $size, $fleet, $this->visits($from, $to), $this->clock->words(...));
    }

    /** @return Collection<int, Visit> */
    private function visits(Day $from, Day $to): Collection
    {
        return Visit::with(['aircraft.type', 'cards:id,visit_id,item_id,hours,of_set', 'cards.item:id,code'])
            ->where('start', '<=', (string) $to)->where('end', '>=', (string) $from)
            ->orderBy('start')->orderBy('id')->get();
    }

    private static function items(Visit $visit): string
    {
        return $visit->cards->reject(static fn(Card $c): bool => $c->of_set)
            ->map(static fn(Card $c): ?string => $c->item?->code)->filter()->unique()->sort()->implode(' ');
    }
}
