<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/** A column as it is drawn: for each stretch of the width its lowest and its highest, so that no peak is lost. */
final class Thinned
{
    /**
     * @param list<string> $names of signals
     * @param int $many stretches, above 0
     *
     * @return array{t: list<float>, low: array<string, list<float>>, high: array<string, list<float>>} the middle of each
     *   stretch that has a sample
     *
     * @pure
     */
    public static function of(Samples $samples, array $names, float $from, float $to, int $many): array
    {
        [$a, $b] = [$samples->at($from), $samples->at($to)];
        $b = min($samples->count(), $b + 1);
        $out = ['t' => [], 'low' => array_fill_keys($names, []), 'high' => array_fill_keys($names, [])];
        $per = max(1, (int) ceil(($b - $a) / $many));
        for ($i = $a; $i < $b; $i += $per) {
            $end = min($i + $per, $b);
            $out['t'][] = ($samples->t[$i] + $samples->t[$end - 1]) / 2;
            foreach ($names as $name) {
                $some = array_slice($samples->column($name), $i, $end - $i);
                $out['low'][$name][] = min([INF, ...$some]);
                $out['high'][$name][] = max([-INF, ...$some]);
            }
        }

        return $out;
    }
}
