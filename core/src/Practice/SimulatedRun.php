<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

use Jorvel\Core\Bench\Samples;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * An engine run that is not there: two engines at a steady power, change-overs of the control at given times, each with
 * a dip or a rise that dies away, while the other engine takes up the load. The same seed gives the same run.
 */
final class SimulatedRun
{
    /** Seconds in which a swing falls to a third. */
    private const DIES = 0.45;

    /**
     * @param float $seconds of the run
     * @param float $hz samples a second
     * @param list<array{t: float, mode: string, swing: float}> $changes swing in points of torque, at once
     * @param float $partner share of a swing that the other engine takes up, the other way
     * @param float|null $over seconds at which the turbine goes over its limit for six seconds; null where it does not
     *
     * @return array{Samples, list<string>} torque, torque_2, speed, speed_2, temperature, temperature_2, oil, oil_2,
     *   pressure, pressure_2, fuel, fuel_2; and the mode of each sample
     *
     * @pure
     */
    public static function of(
        float $seconds,
        float $hz,
        array $changes,
        int $seed,
        float $partner = 0.6,
        ?float $over = null,
    ): array {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $noise = static fn(float $by): float => $by * ($random->getInt(0, 20000) / 10000 - 1);
        $n = (int) round($seconds * $hz);
        $names = ['torque', 'speed', 'temperature', 'oil', 'pressure', 'fuel'];
        $columns = [];
        foreach ($names as $name) {
            $columns[$name] = $columns["{$name}_2"] = [];
        }
        $t = $modes = [];
        $mode = 'auto';
        for ($i = 0; $i < $n; $i++) {
            $now = $i / $hz;
            $swing = 0.0;
            foreach ($changes as $c) {
                if ($now >= $c['t'] - 1e-9) {
                    $mode = $c['mode'];
                    $swing += $c['swing'] * exp(-($now - $c['t']) / self::DIES);
                }
            }
            $hot = $over !== null && $now >= $over && $now < $over + 6 ? 24.0 : 0.0;
            $t[] = round($now, 4);
            $modes[] = $mode;
            foreach (['' => $swing, '_2' => -$swing * $partner] as $of => $by) {
                $columns["torque{$of}"][] = round(37.4 + $by + $noise(0.05), 3);
                $columns["speed{$of}"][] = round(96.0 + $by * 0.05 + $noise(0.15), 3);
                $columns["temperature{$of}"][] = round(
                    690.0 + $by * 1.4 + ($of === '' ? $hot * 4.5 : 0.0) + $noise(1.2),
                    2,
                );
                $columns["oil{$of}"][] = round(min(78.0, 58.0 + $now / 60) + $noise(0.2), 2);
                $columns["pressure{$of}"][] = round(4.1 + $noise(0.02), 3);
                $columns["fuel{$of}"][] = round(118.0 + $by * 1.1 + $noise(0.4), 2);
            }
        }

        return [Samples::of($t, $columns), $modes];
    }
}
