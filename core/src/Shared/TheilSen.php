<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function count;
use function floor;
use function sort;

/**
 * The line through dated values that a stray one does not bend: the median of the pairwise slopes, values of one day
 * left out, and the median of the intercepts (Theil, 1950; Sen, 1968).
 */
final readonly class TheilSen
{
    /**
     * @param int $from the number of its first day
     * @param float $slope a day
     * @param float $intercept on the first day
     */
    private function __construct(public int $from, public float $slope, public float $intercept) {}

    /**
     * @param list<array{Day, float}> $points in order of their days
     *
     * @phpstan-assert non-empty-list<array{Day, float}> $points
     *
     * @throws InputError at `readings` with fewer than three, or all on one day
     *
     * @pure
     */
    public static function through(array $points): self
    {
        if (count($points) < 3) {
            throw InputError::at('readings', 'needs at least 3 readings since the last change');
        }
        $from = $points[0][0]->number;
        $slopes = [];
        foreach ($points as $j => [$day, $value]) {
            for ($i = 0; $i < $j; $i++) {
                if ($points[$i][0]->number < $day->number) {
                    $slopes[] = ($value - $points[$i][1]) / ($day->number - $points[$i][0]->number);
                }
            }
        }
        if ($slopes === []) {
            throw InputError::at('readings', 'are all of one day; a trend needs at least two days');
        }
        $slope = self::median($slopes);
        $rests = array_map(static fn(array $p): float => $p[1] - $slope * ($p[0]->number - $from), $points);

        return new self($from, $slope, self::median($rests));
    }

    /** The line on a day. @pure */
    public function on(Day $day): float
    {
        return $this->intercept + $this->slope * ($day->number - $this->from);
    }

    /**
     * The last day on which the line has not passed a limit that it heads for.
     *
     * @return Day|null null when it heads away from it or for neither, or meets it outside the calendar's years
     *
     * @pure
     */
    public function lastWithin(float $limit, bool $rising): ?Day
    {
        if ($this->slope === 0.0 || $this->slope > 0 !== $rising) {
            return null;
        }
        $room = $rising ? $limit - $this->intercept : $this->intercept - $limit;
        $day = $this->from + floor(($room + Near::noise($limit)) / abs($this->slope));

        return $day > Day::LAST || $day < Day::FIRST ? null : Day::fromNumber((int) $day);
    }

    /**
     * @param non-empty-array<float> $values
     *
     * @pure
     */
    private static function median(array $values): float
    {
        sort($values);
        $n = count($values);
        $half = $n >> 1;

        return $n % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
