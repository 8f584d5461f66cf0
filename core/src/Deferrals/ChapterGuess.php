<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function count;

/**
 * Of which chapter a report speaks: proposed from the words that each chapter is known by; a person says which it is.
 */
final class ChapterGuess
{
    /** Chapters that are proposed at most. */
    private const MOST = 4;

    /**
     * @param list<array{chapter: string, words: list<string>}> $known words that stand for a chapter, of one or more
     *   parts
     *
     * @return list<array{chapter: string, words: list<string>}> those of whose words some stand in the text, with
     *   these: those with the most first, then those with the longest, then by chapter
     *
     * @pure
     */
    public static function of(string $text, array $known): array
    {
        $found = [];
        $text = mb_strtolower($text);
        foreach ($known as ['chapter' => $chapter, 'words' => $words]) {
            foreach ($words as $word) {
                if (preg_match('/(?<![\pL\pN])'.preg_quote(mb_strtolower($word), '/').'/u', $text) === 1) {
                    $found[$chapter][mb_strtolower($word)] = true;
                }
            }
        }
        $out = [];
        foreach ($found as $chapter => $words) {
            $out[] = ['chapter' => (string) $chapter, 'words' => array_map(strval(...), array_keys($words))];
        }
        usort($out, static fn(array $a, array $b): int => [
            count($b['words']), mb_strlen(implode('', $b['words'])), $a['chapter'],
        ] <=> [count($a['words']), mb_strlen(implode('', $a['words'])), $b['chapter']]);

        return array_slice($out, 0, self::MOST);
    }
}
