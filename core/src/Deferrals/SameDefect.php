<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function array_intersect;
use function count;

/** Whether what is reported is what was reported before: the same system, in much the same words. */
final class SameDefect
{
    /** Words that say nothing of a defect. */
    private const EMPTY = [
        'after', 'again', 'before', 'does', 'during', 'from', 'have', 'into', 'light', 'once', 'over', 'reads', 'side',
        'some', 'still', 'than', 'that', 'then', 'there', 'this', 'twice', 'very', 'when', 'with',
    ];

    /**
     * @param string $chapter of the manual, `32` or `32-42`
     *
     * @pure
     */
    public static function is(string $chapter, string $text, string $beforeChapter, string $before): bool
    {
        if (! str_starts_with($chapter, $beforeChapter) && ! str_starts_with($beforeChapter, $chapter)) {
            return false;
        }
        $a = self::words($text);
        $b = self::words($before);
        $least = min(count($a), count($b));

        return $least > 0 && 2 * count(array_intersect($a, $b)) >= $least;
    }

    /** @return list<string> that mean something, each once, without their endings. @pure */
    private static function words(string $text): array
    {
        preg_match_all('/[\pL\pN]{4,}/u', mb_strtolower($text), $m);
        $words = array_diff($m[0], self::EMPTY);

        return array_values(array_unique(array_map(
            static fn(string $w): string => (string) preg_replace('/(ing|ed|es|s)$/u', '', $w),
            $words,
        )));
    }
}
