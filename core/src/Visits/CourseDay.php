<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use DateTimeZone;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** What one day brought a visit, how the forecast of its exit moved, and what had come between. */
final readonly class CourseDay
{
    /** Hours by which cards take longer from which on that is a cause. */
    private const TELLS = 0.5;

    /** Share of the people's hours below which work that was not done is one. */
    private const USED = 0.5;

    /**
     * @param CourseWork $work of the day, of today as far as it has come
     * @param int $open findings at the end of the day
     * @param Instant|null $exit as it was forecast then
     * @param float $moved hours by which it moved on the day, later above 0
     * @param CourseWork|null $since what came between the forecast before and the day's; null where there were not two
     */
    private function __construct(
        public Day $day,
        public CourseWork $work,
        public int $open,
        public ?Instant $exit,
        public float $moved,
        public ?CourseWork $since,
    ) {}

    /**
     * What made the exit later, of what had come since the forecast before; nothing where it did not.
     *
     * @return list<CourseCause>
     *
     * @pure
     */
    public function causes(): array
    {
        $since = $this->later() ? $this->since : null;

        return $since === null ? [] : array_values(array_filter([
            $since->raised > 0 ? CourseCause::Found : null,
            $since->longer() >= self::TELLS ? CourseCause::Longer : null,
            $since->worked < self::USED * $since->there ? CourseCause::Unworked : null,
        ]));
    }

    /** @pure */
    public function later(): bool
    {
        return $this->moved > 0;
    }

    /**
     * @param array<string, ExitForecast> $forecasts the last of each day, by date
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
        for ($day = $visit->start; $day->number <= $today->number && count($days) < $most; $day = $day->plusDays(1)) {
            $end = Instant::firstAfter($day, $zone);
            $begins = Instant::firstAfter($day->plusDays(-1), $zone);
            $open = 0;
            foreach ($visit->findings as $finding) {
                $open += $finding->openAt(Instant::fromEpoch($end->epoch() - 1)) ? 1 : 0;
            }
            $is = $forecasts[(string) $day] ?? $was;
            $exit = $is->exit ?? $was?->exit;
            $days[] = new self(
                $day,
                CourseWork::between($visit, $begins, $end->isBefore($now) ? $end : $now, $now),
                $open,
                $exit,
                $was?->exit === null || $exit === null ? 0.0 : round(
                    ($exit->epoch() - $was->exit->epoch()) / 3600,
                    1,
                ),
                $was === null || $is === null || $is === $was
                    ? null
                    : CourseWork::between($visit, $was->at, $is->at, $now),
            );
            $was = $is === null ? null : new ExitForecast($is->at, $exit);
        }

        return $days;
    }
}
