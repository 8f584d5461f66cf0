<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Gamma;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\TheilSen;
use Jorvel\Core\Shared\Trend;

use function sqrt;

/**
 * Is it wandering, and when will it be out.
 *
 * The line is the one of {@see TheilSen}; whether there is a trend at all is said by Mann (1945) and Kendall (1975),
 * with the correction for equal values. Contract: docs/core.md, core/schema/drift.json.
 */
final readonly class Drift
{
    /** Below this chance of arising by itself a trend is one. */
    private const SIGNIFICANT = 0.05;

    /**
     * @param int $n readings since the last reset
     * @param string $trend `rising`, `falling` or `none`
     * @param float $p the chance of as much order where there is no trend
     * @param 'min'|'max'|null $toward the limit that the line heads for
     * @param Day|null $crossesOn the last day on which the line is within it
     * @param int|null $daysLeft from the last reading; negative when it is past
     */
    private function __construct(
        public int $n,
        public float $slope,
        public float $latest,
        public string $trend,
        public float $p,
        public ?string $toward,
        public ?Day $crossesOn,
        public ?int $daysLeft,
    ) {}

    /**
     * @param list<DriftReading> $readings in order of their dates
     *
     * @throws InputError at `readings` with fewer than three since the last reset, or all on one day; at
     *                    `readings.<i>.date` where dates fall; at the sheet without a limit, or with min above max
     *
     * @pure
     */
    public static function of(array $readings, ?float $min, ?float $max): self
    {
        if ($min === null && $max === null) {
            throw InputError::at('', 'needs a min or a max');
        }
        if ($min !== null && $max !== null && $min > $max) {
            throw InputError::reversed('');
        }
        $used = Trend::since($readings);
        $line = TheilSen::through(array_map(static fn(DriftReading $r): array => [$r->date, $r->value], $used));
        $values = array_map(static fn(DriftReading $r): float => $r->value, $used);
        [$sign, $p] = self::order($values);
        $still = abs($line->slope) <= 1e-12 * max([0.0, ...array_map(abs(...), $values)]);
        [$toward, $limit] = match (true) {
            $still => [null, null],
            $line->slope > 0 => ['max', $max],
            default => ['min', $min],
        };
        $crosses = $limit === null ? null : $line->lastWithin($limit, $toward === 'max');
        $last = $used[count($used) - 1];

        return new self(
            count($used),
            $line->slope,
            $last->value,
            $p >= self::SIGNIFICANT ? 'none' : ($sign > 0 ? 'rising' : 'falling'),
            $p,
            $limit === null ? null : $toward,
            $crosses,
            $crosses === null ? null : $last->date->daysUntil($crosses),
        );
    }

    /**
     * Mann and Kendall's S, and the chance of one as far from nought.
     *
     * @param list<float> $values in their order
     *
     * @return array{int, float}
     *
     * @pure
     */
    private static function order(array $values): array
    {
        $n = count($values);
        $s = 0;
        $equal = [];
        foreach ($values as $j => $value) {
            for ($i = 0; $i < $j; $i++) {
                $s += $value <=> $values[$i];
            }
            // Minus nought is nought.
            $key = serialize($value + 0.0);
            $equal[$key] = ($equal[$key] ?? 0) + 1;
        }
        $spread = static fn(int $t): int => $t * ($t - 1) * (2 * $t + 5);
        $variance = ($spread($n) - array_sum(array_map($spread, $equal))) / 18;
        if ($s === 0 || $variance <= 0) {
            return [$s, 1.0];
        }
        $z = (abs($s) - 1) / sqrt($variance);

        // 2 (1 − Φ(z)) is the chance that half of a squared normal, a gamma of ½, is above z² ÷ 2.
        return [$s, Gamma::above(0.5, $z * $z / 2)];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'n' => $this->n,
            'slope_per_day' => $this->slope,
            'latest' => $this->latest,
            'trend' => $this->trend,
            'p' => $this->p,
            'toward' => $this->toward,
            'crosses_on' => $this->crossesOn === null ? null : (string) $this->crossesOn,
            'days_left' => $this->daysLeft,
        ];
    }
}
