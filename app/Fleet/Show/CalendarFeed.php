<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Deferrals\Model\Deferral;
use App\Fleet\Show\View\DueLine;
use App\Now\DeferralClock;
use App\Now\LoadFlying;
use App\Shared\Calendar;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;

/**
 * The fleet as a calendar: visits, what falls due within ninety days and is in no visit, and when deferrals run out.
 */
final readonly class CalendarFeed
{
    public function __construct(private ShowDueList $due, private DeferralClock $deferrals, private Clock $clock) {}

    public function text(): string
    {
        $calendar = new Calendar('Jorvel: visits, due dates and deferrals', $this->clock->now());
        $open = Visit::with('aircraft', 'cards')->whereNot('state', Visit::RELEASED)->orderBy('id')->get();
        foreach ($open as $visit) {
            $calendar->add(
                "visit-{$visit->id}",
                $visit->start,
                $visit->end,
                "{$visit->aircraft->mark} {$visit->title}, {$visit->bay}",
                $visit->cards->map(static fn($c): string => "{$c->number} {$c->title}")->implode("\n"),
            );
        }
        $days = collect($this->due->within((int) config('jorvel.feed_days'))->rows)
            // What is carried has a day of its own below.
            ->filter(static fn(DueLine $l): bool => $l->visit === null && ! str_starts_with($l->key, 'deferral:'))
            ->groupBy(static fn(DueLine $l): string => "{$l->mark}/{$l->date}");
        foreach ($days as $lines) {
            $first = $lines->firstOrFail();
            $day = Day::parse($first->date);
            $what = $lines->count() === 1 ? "{$first->code} {$first->title}" : "{$lines->count()} items";
            $calendar->add(
                "due-{$first->mark}-{$first->date}",
                $day,
                $day,
                "{$first->mark} due: {$what}",
                $lines->map(
                    static fn(DueLine $l): string
                        => "{$l->code} {$l->title}, {$l->remaining}"
                            .($l->latest === $l->date || $l->latest === null ? '' : ", at the latest {$l->latest}"),
                )->implode("\n"),
            );
        }
        foreach (Deferral::with([
            'aircraft' => static fn($q) => $q->with(LoadFlying::with()),
            'listedItem',
            'finding',
        ])->where('state', 'open')->orderBy('id')->get() as $deferral) {
            $last = $this->deferrals->read($deferral, $deferral->aircraft)->forecastLast;
            if ($last !== null) {
                $calendar->add(
                    "deferral-{$deferral->id}",
                    $last,
                    $last,
                    "{$deferral->aircraft->mark} deferral runs out: {$deferral->listedItem->title}",
                    "{$deferral->finding->number}, category {$deferral->category}\n{$deferral->placard}",
                );
            }
        }

        return $calendar->text();
    }
}
