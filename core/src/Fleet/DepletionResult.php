<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function count;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\TheilSen;

/**
 * A bottle's trend: its readings at the reference temperature, the line through them, and where that meets the minimum.
 */
final readonly class DepletionResult
{
    /**
     * @param non-empty-list<array{Day, float}> $points readings since the last change, brought to the reference
     *   temperature
     * @param TheilSen $line through them, in the unit a day; falling where its slope is negative
     * @param Day|null $crossesOn the last day on which the line is at or above the minimum
     * @param int|null $daysLeft from the last reading; negative when it is past
     * @param bool|null $leakSuspect it falls more than twice as fast as use explains; null where nothing is expected
     */
    public function __construct(
        public array $points,
        public TheilSen $line,
        public ?Day $crossesOn,
        public ?int $daysLeft,
        public ?bool $leakSuspect,
    ) {}

    /** The last reading, at the reference temperature. @pure */
    public function latest(): float
    {
        return $this->points[count($this->points) - 1][1];
    }

    /** The line on a day. @pure */
    public function on(Day $day): float
    {
        return $this->line->on($day);
    }

    /**
     * How it stands today: `stop` when the line meets the minimum within the warning days or has done so, `watch`
     * within twice as long or where a leak is suspected, else `clear`.
     *
     * @pure
     */
    public function state(Day $today, int $warnDays): string
    {
        $days = $this->crossesOn === null ? PHP_INT_MAX : $today->daysUntil($this->crossesOn);

        return match (true) {
            $days <= $warnDays => 'stop',
            $days <= 2 * $warnDays, $this->leakSuspect === true => 'watch',
            default => 'clear',
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'n' => count($this->points),
            'slope_per_day' => $this->line->slope,
            'latest' => $this->latest(),
            'crosses_on' => $this->crossesOn === null ? null : (string) $this->crossesOn,
            'days_left' => $this->daysLeft,
            'leak_suspect' => $this->leakSuspect,
        ];
    }
}
