<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** Where two versions of a card differ, place by place. */
final class Differences
{
    /**
     * Steps are told apart by what they are rather than by where they stand, so that one put in between moves nothing
     * else: those that both have in the same order are compared with each other, the others came or went.
     *
     * @param array<string, mixed> $old as in core/schema/card.json
     * @param array<string, mixed> $new
     *
     * @return list<array{at: string, was: mixed, is: mixed}> null for what is not there; `at` names a field, or a
     *   step by its number in the new version, or in the old one where it went
     *
     * @pure
     */
    public static function between(array $old, array $new): array
    {
        $out = [];
        foreach (array_unique([...array_keys($old), ...array_keys($new)]) as $field) {
            if ($field !== 'steps' && ($old[$field] ?? null) !== ($new[$field] ?? null)) {
                $out[] = ['at' => (string) $field, 'was' => $old[$field] ?? null, 'is' => $new[$field] ?? null];
            }
        }

        return [...$out, ...self::steps($old['steps'] ?? [], $new['steps'] ?? [])];
    }

    /**
     * @param list<array<string, mixed>> $old
     * @param list<array<string, mixed>> $new
     *
     * @return list<array{at: string, was: mixed, is: mixed}>
     */
    private static function steps(array $old, array $new): array
    {
        $out = [];
        $i = $j = 0;
        foreach ([...self::pairs($old, $new), [count($old), count($new)]] as [$a, $b]) {
            for (; $i < $a || $j < $b;) {
                // A title that stays, with another content, is the same step changed.
                $both = $i < $a && $j < $b && self::alike($old[$i], $new[$j]);
                $goes = $i < $a && (! $both) && ($j >= $b || ! self::comes($old[$i], array_slice($new, $j, $b - $j)));
                $out[] = match (true) {
                    $both => ['at' => 'step '.($j + 1), 'was' => $old[$i++], 'is' => $new[$j++]],
                    $goes => ['at' => 'step '.($i + 1).' of before', 'was' => $old[$i++], 'is' => null],
                    $j < $b => ['at' => 'step '.($j + 1), 'was' => null, 'is' => $new[$j++]],
                    default => ['at' => 'step '.($i + 1).' of before', 'was' => $old[$i++], 'is' => null],
                };
            }
            $i = $a + 1;
            $j = $b + 1;
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $a
     * @param array<string, mixed> $b
     */
    private static function alike(array $a, array $b): bool
    {
        return $a['kind'] === $b['kind'] && ($a['title'] === $b['title']
            || ($a['spec']['id'] ?? 0) === ($b['spec']['id'] ?? 1));
    }

    /**
     * @param array<string, mixed> $step
     * @param list<array<string, mixed>> $among
     */
    private static function comes(array $step, array $among): bool
    {
        return array_filter($among, static fn(array $s): bool => self::alike($step, $s)) !== [];
    }

    /**
     * The longest run of steps that both have just so, in order.
     *
     * @param list<array<string, mixed>> $old
     * @param list<array<string, mixed>> $new
     *
     * @return list<array{int, int}> places in both
     */
    private static function pairs(array $old, array $new): array
    {
        $long = array_fill(0, count($old) + 1, array_fill(0, count($new) + 1, 0));
        for ($i = count($old) - 1; $i >= 0; $i--) {
            for ($j = count($new) - 1; $j >= 0; $j--) {
                $long[$i][$j] = $old[$i] === $new[$j]
                    ? 1 + $long[$i + 1][$j + 1]
                    : max($long[$i + 1][$j], $long[$i][$j + 1]);
            }
        }
        $pairs = [];
        for ($i = $j = 0; $i < count($old) && $j < count($new);) {
            if ($old[$i] === $new[$j]) {
                $pairs[] = [$i++, $j++];
            } elseif ($long[$i + 1][$j] >= $long[$i][$j + 1]) {
                $i++;
            } else {
                $j++;
            }
        }

        return $pairs;
    }
}
