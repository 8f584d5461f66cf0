<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_search;
use function count;
use function explode;
use function is_numeric;

use Jorvel\Core\Shared\InputError;

use function preg_match;
use function rtrim;

/**
 * A recorder's file, read by the map of that recorder: every line that is wrong is named, and nothing is guessed.
 *
 * A time that repeats or runs back, and a cell that is no number, are faults. A gap is not: what was recorded before
 * and after it stands, and whoever judges a stretch asks whether one lies in it.
 */
final readonly class SampleFile
{
    /** More faults than these are not told one by one. */
    private const MOST = 40;

    /** A gap is this many times the usual time between two samples, and at least half a second. */
    private const GAP = 4.0;

    /**
     * @param list<string> $modes of each sample; empty where the recorder has none
     * @param list<array{from: float, to: float, line: int}> $gaps in seconds of the record; the line before each
     */
    private function __construct(public Samples $samples, public array $modes, public array $gaps) {}

    /**
     * @return self|list<InputError> the faults, each at its line (`line 12, torque`)
     *
     * @pure
     */
    public static function read(string $text, RecorderMap $map): self|array
    {
        $comma = $map->separator;
        $lines = explode("\n", rtrim(strtr($text, ["\r\n" => "\n", "\xEF\xBB\xBF" => '']), "\n"));
        $head = array_map(static fn(string $h): string => trim($h, " \t\""), explode($comma, $lines[0]));
        $faults = self::head($head, $lines[1] ?? '', $map);
        $first = $map->unitsRow ? 2 : 1;
        if ($faults === [] && count($lines) - $first < 2) {
            $faults[] = InputError::at('line 1', 'is followed by less than two samples');
        }
        if ($faults !== []) {
            return $faults;
        }
        $width = count($head);
        $timeAt = (int) array_search($map->time, $head, true);
        $modeAt = $map->mode === null ? null : (int) array_search($map->mode, $head, true);
        $at = [];
        foreach ($map->signals as $s) {
            $at[$s['signal']] = (int) array_search($s['column'], $head, true);
        }
        $t = $modes = [];
        $columns = array_fill_keys(array_keys($at), []);
        $last = -INF;
        $n = count($lines);
        for ($i = $first; $i < $n && count($faults) < self::MOST; $i++) {
            $cells = explode($comma, $lines[$i]);
            if (count($cells) !== $width) {
                $faults[] = InputError::at('line '.($i + 1), 'has '.count($cells)." cells; {$width} are wanted");

                continue;
            }
            $now = self::time($cells[$timeAt], $map->base);
            if ($now === null) {
                $faults[] = InputError::at('line '.($i + 1).", {$map->time}", "\"{$cells[$timeAt]}\" is no time");

                continue;
            }
            if ($now <= $last) {
                $faults[] = InputError::at('line '.($i + 1), $now === $last
                    ? "repeats the time of the line before, {$cells[$timeAt]}"
                    : "runs back: the clock jumps from {$last} s to {$now} s");

                continue;
            }
            foreach ($at as $signal => $column) {
                if (! is_numeric($cells[$column])) {
                    $faults[] = InputError::at('line '.($i + 1).", {$signal}", "\"{$cells[$column]}\" is no number");

                    continue;
                }
                $columns[$signal][] = (float) $cells[$column];
            }
            if ($modeAt !== null) {
                $mode = array_search(trim($cells[$modeAt]), $map->modes, true);
                if ($mode === false) {
                    $faults[] = InputError::at('line '.($i + 1).", {$map->mode}", "\"{$cells[$modeAt]}\" is neither "
                        .implode(' nor ', $map->modes));

                    continue;
                }
                $modes[] = (string) $mode;
            }
            $t[] = $now;
            $last = $now;
        }
        if ($faults !== []) {
            return $faults;
        }
        $zero = $t[0];
        $t = array_map(static fn(float $s): float => $s - $zero, $t);

        return new self(Samples::of($t, $columns), $modes, self::gaps($t, $first));
    }

    /**
     * @param list<string> $head
     *
     * @return list<InputError>
     */
    private static function head(array $head, string $second, RecorderMap $map): array
    {
        $comma = $map->separator;
        $wanted = [$map->time, ...$map->mode === null ? [] : [$map->mode], ...array_column($map->signals, 'column')];
        $faults = [];
        foreach ($wanted as $column) {
            $many = count(array_keys($head, $column, true));
            if ($many !== 1) {
                $faults[] = InputError::at('line 1', $many === 0
                    ? "has no column \"{$column}\""
                    : "has the column \"{$column}\" {$many} times");
            }
        }
        if ($faults === [] && $map->unitsRow) {
            $units = array_map(
                static fn(string $u): string => trim($u, " \t\"[]()"),
                explode($comma, $second),
            );
            foreach ($map->signals as $s) {
                $is = $units[(int) array_search($s['column'], $head, true)] ?? '';
                if ($is !== $s['unit']->value && $is !== $s['unit']->label()) {
                    $faults[] = InputError::at(
                        "line 2, {$s['column']}",
                        "is in \"{$is}\"; this recorder's map says {$s['unit']->value}",
                    );
                }
            }
        }

        return $faults;
    }

    private static function time(string $cell, string $base): ?float
    {
        if ($base !== 'clock') {
            $per = ['s' => 1.0, 'ms' => 0.001, 'min' => 60.0][$base] ?? 1.0;

            return is_numeric($cell) ? (float) $cell * $per : null;
        }

        return preg_match('/^\s*"?([0-9]{1,2}):([0-5][0-9]):([0-5][0-9](?:\.[0-9]+)?)"?\s*$/D', $cell, $m) === 1
            && (int) $m[1] < 24
            ? (int) $m[1] * 3600 + (int) $m[2] * 60 + (float) $m[3]
            : null;
    }

    /**
     * @param list<float> $t
     *
     * @return list<array{from: float, to: float, line: int}>
     */
    private static function gaps(array $t, int $first): array
    {
        $steps = [];
        $n = count($t);
        for ($i = 1; $i < $n; $i++) {
            $steps[] = $t[$i] - $t[$i - 1];
        }
        $sorted = $steps;
        sort($sorted);
        $usual = $sorted[intdiv(count($sorted), 2)];
        $out = [];
        foreach ($steps as $i => $step) {
            if ($step > self::GAP * $usual && $step > 0.5) {
                $out[] = ['from' => $t[$i], 'to' => $t[$i + 1], 'line' => $i + $first + 1];
            }
        }

        return $out;
    }
}
