<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/**
 * What is known of one point: its true value, and what each adjuster does to it; jointly normal.
 *
 * Number 0 is the value, number j + 1 the effect of adjuster j. A turn shifts the value by Σ effect × amount, a reading
 * is the value with noise: the posterior of that linear Gaussian model, exactly (R. E. Kalman, 1960).
 */
final readonly class Belief
{
    /** Standard deviations from what was foretold, beyond which a reading is doubted. */
    private const DOUBT = 3.0;

    /**
     * @param array<int, float> $mean
     * @param array<int, array<int, float>> $cov
     * @param bool $known whether the value was read yet; before, nothing is known of it
     */
    private function __construct(public array $mean, public array $cov, public bool $known) {}

    /**
     * Before anything is read.
     *
     * @param list<Effect|null> $effects by adjuster; null where it does certainly nothing
     *
     * @pure
     */
    public static function before(array $effects): self
    {
        $n = count($effects) + 1;
        $mean = array_fill(0, $n, 0.0);
        $cov = array_fill(0, $n, array_fill(0, $n, 0.0));
        foreach ($effects as $j => $effect) {
            $mean[$j + 1] = $effect->mean ?? 0.0;
            $cov[$j + 1][$j + 1] = ($effect->sd ?? 0.0) ** 2;
        }

        return new self($mean, $cov, false);
    }

    /**
     * After turns.
     *
     * @param list<float> $amounts signed, by adjuster
     *
     * @pure
     */
    public function turned(array $amounts): self
    {
        $mean = $this->mean;
        $cov = $this->cov;
        $with = $this->withValue($amounts);
        $mean[0] = $this->foretold($amounts);
        foreach ($with as $i => $c) {
            $cov[0][$i] = $cov[$i][0] = $c;
        }
        $cov[0][0] = $this->variance($amounts);

        return new self($mean, $cov, $this->known);
    }

    /**
     * After a reading, and how many standard deviations it lay from what was foretold where that is too many. From
     * such a one on the value is known by it alone; what was learned of the effects stays.
     *
     * @return array{self, float|null}
     *
     * @pure
     */
    public function read(float $value, float $noise): array
    {
        $variance = $this->cov[0][0] + $noise ** 2;
        $off = $value - $this->mean[0];
        $z = $off / sqrt($variance);
        if (! $this->known || abs($z) > self::DOUBT) {
            $mean = $this->mean;
            $cov = $this->cov;
            $mean[0] = $value;
            foreach (array_keys($mean) as $i) {
                $cov[0][$i] = $cov[$i][0] = 0.0;
            }
            $cov[0][0] = $noise ** 2;

            return [new self($mean, $cov, true), $this->known ? $z : null];
        }
        $mean = $cov = [];
        foreach ($this->mean as $i => $m) {
            $gain = $this->cov[$i][0] / $variance;
            $mean[$i] = $m + $gain * $off;
            foreach ($this->cov[$i] as $k => $c) {
                $cov[$i][$k] = $c - $gain * $this->cov[0][$k];
            }
        }

        return [new self($mean, $cov, true), null];
    }

    /**
     * The value that is foretold after turns, in the mean.
     *
     * @param list<float> $amounts
     *
     * @pure
     */
    public function foretold(array $amounts): float
    {
        $mean = $this->mean[0];
        foreach ($amounts as $j => $amount) {
            $mean += $this->mean[$j + 1] * $amount;
        }

        return $mean;
    }

    /**
     * The variance of the value after turns; at least 0.
     *
     * @param list<float> $amounts
     *
     * @pure
     */
    public function variance(array $amounts): float
    {
        $with = $this->withValue($amounts);
        $variance = $with[0];
        foreach ($amounts as $j => $amount) {
            $variance += $amount * $with[$j + 1];
        }

        return max(0.0, $variance);
    }

    /** Of the value or of an effect. @pure */
    public function sd(int $number): float
    {
        return sqrt(max(0.0, $this->cov[$number][$number]));
    }

    /**
     * The covariance of the value after turns with everything before them.
     *
     * @param list<float> $amounts
     *
     * @return array<int, float>
     */
    private function withValue(array $amounts): array
    {
        $out = $this->cov[0];
        foreach ($amounts as $j => $amount) {
            if ($amount !== 0.0) {
                foreach ($this->cov[$j + 1] as $i => $c) {
                    $out[$i] += $amount * $c;
                }
            }
        }

        return $out;
    }
}
