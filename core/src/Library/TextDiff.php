<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use function array_slice;
use function count;
use function max;

/**
 * An old text beside a new one, word by word: what stayed, what went, what came.
 *
 * The longest common subsequence of words (dynamic programming over what is left between a common beginning and a
 * common end); white space goes with the word after it, so that the pieces joined again are the texts.
 */
final class TextDiff
{
    /** Beyond this many pairs of words the middle is told as one piece gone and one come. */
    private const MOST = 4_000_000;

    /**
     * @return list<array{kind: 'same'|'gone'|'new', text: string}>
     *
     * @pure
     */
    public static function of(string $old, string $new): array
    {
        [$a, $b] = [self::words($old), self::words($new)];
        $head = 0;
        while ($head < count($a) && $head < count($b) && $a[$head] === $b[$head]) {
            $head++;
        }
        $tail = 0;
        while (
            $tail < count($a) - $head
            && $tail < count($b) - $head
            && $a[count($a) - 1 - $tail] === $b[count($b) - 1 - $tail]
        ) {
            $tail++;
        }
        $pieces = [
            ['same', array_slice($a, 0, $head)],
            ...self::middle(
                array_slice($a, $head, count($a) - $head - $tail),
                array_slice($b, $head, count($b) - $head - $tail),
            ),
            ['same', array_slice($a, count($a) - $tail)],
        ];
        $out = [];
        foreach ($pieces as [$kind, $words]) {
            $last = count($out) - 1;
            if ($words !== [] && $last >= 0 && $out[$last]['kind'] === $kind) {
                $out[$last]['text'] .= implode('', $words);
            } elseif ($words !== []) {
                $out[] = ['kind' => $kind, 'text' => implode('', $words)];
            }
        }

        return $out;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     *
     * @return list<array{'same'|'gone'|'new', list<string>}>
     */
    private static function middle(array $a, array $b): array
    {
        [$n, $m] = [count($a), count($b)];
        if ($n === 0 || $m === 0 || $n * $m > self::MOST) {
            return [['gone', $a], ['new', $b]];
        }
        $length = array_fill(0, $n + 1, array_fill(0, $m + 1, 0));
        for ($i = $n - 1; $i >= 0; $i--) {
            for ($j = $m - 1; $j >= 0; $j--) {
                $length[$i][$j] = $a[$i] === $b[$j]
                    ? $length[$i + 1][$j + 1] + 1
                    : max($length[$i + 1][$j], $length[$i][$j + 1]);
            }
        }
        $pieces = [];
        for ($i = $j = 0; $i < $n || $j < $m;) {
            if ($i < $n && $j < $m && $a[$i] === $b[$j]) {
                $pieces[] = ['same', [$a[$i++]]];
                $j++;
            } elseif ($i < $n && ($j === $m || $length[$i + 1][$j] >= $length[$i][$j + 1])) {
                $pieces[] = ['gone', [$a[$i++]]];
            } else {
                $pieces[] = ['new', [$b[$j++]]];
            }
        }

        return $pieces;
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        preg_match_all('/\s*\S+|\s+$/u', $text, $m);

        return $m[0];
    }
}
