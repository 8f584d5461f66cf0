<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_sum;
use function count;

/**
 * What a type's past inspections say about the next: a Gamma prior on findings an hour, and the lognormal of their fix
 * hours.
 *
 * Mean m = findings ÷ hours of all; the spread between inspections by moments, less what Poisson alone would give (v =
 * Σ hᵢ (rᵢ − m)² ÷ H − m (k − 1) ÷ H, over k inspections of hᵢ hours, rᵢ = findings ÷ hours): shape m² ÷ v, rate m ÷ v,
 * but never surer than all the findings and hours of the past together. Fix hours by the mean and deviation of their
 * logarithms.
 */
final readonly class LookHistory
{
    private function __construct(
        public float $shape,
        public float $rate,
        public float $median,
        public float $sigma,
        public int $looks,
    ) {}

    /**
     * @param list<PastLook> $looks without any, a wide guess serves: one finding in twelve hours, worth twelve hours;
     *   three hours each
     *
     * @pure
     */
    public static function of(array $looks): self
    {
        $hours = array_sum(array_map(static fn(PastLook $l): float => $l->hours, $looks));
        $found = array_sum(array_map(static fn(PastLook $l): int => $l->findings, $looks));
        [$median, $sigma] = self::fixes(array_merge(...array_map(
            static fn(PastLook $l): array => $l->fixHours,
            $looks,
        )));
        if ($hours <= 0 || $found === 0) {
            return new self(1.0, max(12.0, $hours), $median, $sigma, count($looks));
        }
        $mean = $found / $hours;
        $spread = array_sum(array_map(
            static fn(PastLook $l): float => $l->hours * ($l->findings / $l->hours - $mean) ** 2,
            $looks,
        )) / $hours - $mean * (count($looks) - 1) / $hours;
        $rate = $spread <= 0 ? $hours : min($hours, $mean / $spread);

        return new self($mean * $rate, $rate, $median, $sigma, count($looks));
    }

    /**
     * @param list<float> $hours
     *
     * @return array{float, float} median and sigma
     */
    private static function fixes(array $hours): array
    {
        $many = count($hours);
        if ($many === 0) {
            return [3.0, 0.8];
        }
        $logs = array_map(log(...), $hours);
        $mean = array_sum($logs) / $many;
        $variance = $many < 2 ? 0.64 : array_sum(array_map(
            static fn(float $l): float => ($l - $mean) ** 2,
            $logs,
        )) / ($many - 1);

        return [exp($mean), sqrt($variance)];
    }
}
