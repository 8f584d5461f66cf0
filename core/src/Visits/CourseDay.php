<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use DateTimeZone;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** What one day brought a visit: cards and hours, findings, and how the forecast of its exit moved. */
final readonly class CourseDay
{
    /**
     * @param int $closed cards
     * @param float $planned hours of them
     * @param float $spent hours on them
     * @param float $fixes hours that fixing what was raised on it takes, as far as is known
     * @param int $open findings at the end of the day
     * @param Instant|null $exit as it was forecast then
     * @param float $moved hours by which it moved on the day, later above 0
     * @param float $worked hours of planned work that were done on it, on any card
     * @param float $there hours of the people who were there for it
     */
    private function __construct(
        public Day $day,
        public int $closed,
        public float $planned,
        public float $spent,
        public int $raised,
        public float $fixes,
        public int $open,
        public ?Instant $exit,
        public float $moved,
        public float $worked,
        public float $there,
    ) {}

    /** Hours that the cards closed on it took more than was planned for them; below 0 for less. @pure */
    public function longer(): float
    {
        return $this->spent - $this->planned;
    }

    /**
     * @param array<string, Instant|null> $forecasts the exit as forecast last on a day, by date
     * @param int $most days
     *
     * @return list<self> from the visit's first day to today
     *
     * @pure
     */
    public static function all(
        VisitNow $visit,
        array $forecasts,
        Instant $now,
        DateTimeZone $zone,
        int $most = 120,
    ): array {
        $days = [];
        $was = null;
        $today = $now->dayIn($zone);
        $fixes = [];
        foreach ($visit->cards as $card) {
            if ($card->findingId !== null) {
                $fixes[$card->findingId] = $card->hours;
            }
        }
        for ($day = $visit->start; $day->number <= $today->number && count($days) < $most; $day = $day->plusDays(1)) {
            $end = Instant::firstAfter($day, $zone);
            $before = Instant::firstAfter($day->plusDays(-1), $zone);
            $last = Instant::fromEpoch($end->epoch() - 1);
            // Today is only as old as it is.
            $until = $end->isBefore($now) ? $end : $now;
            $closed = $raised = $open = 0;
            $planned = $spent = $worked = $asks = 0.0;
            foreach ($visit->cards as $card) {
                $worked += $card->doneAt($until, $now) - $card->doneAt($before, $now);
                if ($card->closed !== null && $card->closed->isBefore($end) && ! $card->closed->isBefore($before)) {
                    $closed++;
                    $planned += $card->hours;
                    $spent += $card->spent ?? 0.0;
                }
            }
            foreach ($visit->findings as $finding) {
                if ($finding->raised->isBefore($end) && ! $finding->raised->isBefore($before)) {
                    $raised++;
                    $asks += $fixes[$finding->id] ?? $finding->fixHours ?? 0.0;
                }
                $open += $finding->openAt($last) ? 1 : 0;
            }
            $exit = $forecasts[(string) $day] ?? $was;
            $moved = $was === null || $exit === null ? 0.0 : round(($exit->epoch() - $was->epoch()) / 3600, 1);
            $days[] = new self(
                $day,
                $closed,
                $planned,
                $spent,
                $raised,
                $asks,
                $open,
                $exit,
                $moved,
                $worked,
                $visit->hours->personHours($visit->hours->at($before), $visit->hours->at($until)),
            );
            $was = $exit;
        }

        return $days;
    }
}
