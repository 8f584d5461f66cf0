<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function count;
use function exp;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

use function log;

/**
 * How much more an inspection will turn up.
 *
 * Findings are Poisson in inspected hours with a Gamma rate; what was found so far updates it (the conjugate pair), and
 * the findings still to come are negative binomial with r = shape + found and p = (rate + done) / (rate + done + left).
 * Fix hours of one finding are lognormal. Contract: docs/core.md, core/schema/findings.json.
 */
final readonly class Findings
{
    /** How much of the distribution's end is left out of its table. */
    private const TAIL = 1e-12;

    /** The most findings that are reckoned with. */
    private const MOST = 1_000_000.0;

    /**
     * @param non-empty-list<float> $cdf chance of at most n findings to come, from n = 0, up to all but {@see
     *   self::TAIL}
     */
    private function __construct(public int $found, public float $expectedMore, private array $cdf) {}

    /**
     * @param float $shape of the prior, above 0
     * @param float $rate of the prior, in inspected hours, above 0
     * @param float $done hours inspected so far, at least 0
     * @param int $found in them, at least 0
     * @param float $left hours still to be inspected, at least 0
     *
     * @throws InputError at `exposure_left` when more than a million findings are to be expected
     *
     * @pure
     */
    public static function after(float $shape, float $rate, float $done, int $found, float $left): self
    {
        $r = $shape + $found;
        $hours = $rate + $done;
        $expected = $r * $left / $hours;
        if ($expected > self::MOST) {
            throw InputError::at('exposure_left', 'leads to more than a million findings');
        }
        if ($left <= 0) {
            return new self($found, 0.0, [1.0]);
        }
        // In logarithms, since the chance of none may be smaller than any float.
        $log = $r * log($hours / ($hours + $left));
        $miss = log($left / ($hours + $left));
        $cdf = [];
        $sum = 0.0;
        for ($n = 0; ; $n++) {
            $sum += exp($log);
            $cdf[] = min(1.0, $sum);
            if ($sum >= 1 - self::TAIL || ($n > $expected && exp($log) < self::TAIL / 1000)) {
                return new self($found, $expected, $cdf);
            }
            $log += log(($n + $r) / ($n + 1)) + $miss;
        }
    }

    /**
     * The smallest number of findings to come that is not exceeded with this chance.
     *
     * @param float $chance above 0 and below 1
     *
     * @pure
     */
    public function quantile(float $chance): int
    {
        return $this->first($chance - Near::noise($chance));
    }

    /**
     * The chance that open and coming fix hours keep within a capacity: exact where every fix takes the same, else by
     * draws.
     *
     * @param float $median of one finding's fix hours, above 0
     * @param float $sigma of their logarithm, at least 0
     * @param float $room capacity less open fix hours
     * @param int $draws at least 1
     */
    public function chanceToFit(float $median, float $sigma, float $room, int $seed = 1, int $draws = 20_000): float
    {
        if ($room < -Near::noise($room)) {
            return 0.0;
        }
        if ($sigma <= 0) {
            return $this->cdf[min(count($this->cdf) - 1, Near::floor($room / $median))];
        }
        $chance = Chance::seeded($seed);
        $fits = 0;
        for ($i = 0; $i < $draws; $i++) {
            $hours = 0.0;
            for ($n = $this->first($chance->uniform()); $n > 0 && $hours <= $room; $n--) {
                $hours += $median * exp($sigma * $chance->normal());
            }
            $fits += Near::atMost($hours, $room) ? 1 : 0;
        }

        return $fits / $draws;
    }

    /** The first n whose chance reaches this one. @pure */
    private function first(float $chance): int
    {
        $low = 0;
        $high = count($this->cdf) - 1;
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->cdf[$middle] >= $chance) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
