<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Chance;

/** What a season is worth: fewest aircraft that stand, then most value placed, then the lowest cost. */
final readonly class SeasonWorth
{
    /** What an aircraft that stands weighs, in what is hardly worse; value lost weighs half as much. */
    private const STANDS = 60.0;

    /** @param bool $all whether everything that can be placed is */
    public function __construct(
        public int $standing,
        public float $value,
        public float $cost,
        public bool $all,
    ) {}

    /** @pure */
    public function beats(self $other): bool
    {
        return [$this->standing, round(-$this->value, 6), round($this->cost, 6)]
            < [$other->standing, round(-$other->value, 6), round($other->cost, 6)];
    }

    /**
     * Whether it is worse by so little that a search goes on from it all the same.
     *
     * @param float $loose less than 1: also with an aircraft more that stands, so that a search finds through
     */
    public function nearly(self $other, float $warm, Chance $chance, float $loose = 1.0): bool
    {
        if ($warm <= 0) {
            return false;
        }
        $worse = $this->cost - $other->cost + self::STANDS * $loose * $warm * ($this->standing - $other->standing)
            + self::STANDS / 2 * $loose * $warm * ($other->value - $this->value);

        return $worse < -$warm * log(max(1e-12, $chance->uniform()));
    }
}
