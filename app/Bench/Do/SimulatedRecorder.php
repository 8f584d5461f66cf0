<?php

declare(strict_types=1);

namespace App\Bench\Do;

use Jorvel\Core\Bench\RecorderMap;
use Jorvel\Core\Practice\SimulatedRun;

/** A recorder that is not there: a simulated run, written as a recorder of a type writes its files. */
final class SimulatedRecorder
{
    /**
     * @param list<array{t: float, mode: string, swing: float}> $changes
     * @param float|null $over seconds at which the turbine goes over its limit
     */
    public static function csv(
        RecorderMap $map,
        int $seed,
        float $seconds,
        float $hz,
        array $changes,
        float $partner = 0.6,
        ?float $over = null,
    ): string {
        [$samples, $modes] = SimulatedRun::of($seconds, $hz, $changes, $seed, $partner, $over);
        $head = [$map->time, ...$map->mode === null ? [] : [$map->mode], ...array_column($map->signals, 'column')];
        $lines = [implode($map->separator, $head)];
        if ($map->unitsRow) {
            $lines[] = implode($map->separator, [
                $map->base, ...$map->mode === null ? [] : [''],
                ...array_map(static fn(array $s): string => $s['unit']->value, $map->signals),
            ]);
        }
        $columns = array_map(static fn(array $s): array => $samples->column($s['signal']), $map->signals);
        foreach ($samples->t as $i => $t) {
            $cells = [self::time($t, $map->base)];
            if ($map->mode !== null) {
                $cells[] = $map->modes[$modes[$i]];
            }
            foreach ($columns as $column) {
                $cells[] = (string) $column[$i];
            }
            $lines[] = implode($map->separator, $cells);
        }

        return implode("\n", $lines)."\n";
    }

    private static function time(float $t, string $base): string
    {
        return match ($base) {
            'ms' => (string) (int) round($t * 1000),
            'min' => (string) round($t / 60, 6),
            'clock' => sprintf(
                '%02d:%02d:%06.3f',
                10 + intdiv((int) $t, 3600),
                intdiv((int) $t, 60) % 60,
                fmod($t, 60),
            ),
            default => (string) $t,
        };
    }
}
