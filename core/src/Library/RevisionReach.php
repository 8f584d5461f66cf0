<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/**
 * What a manual's revision reaches of a card that was written from it, and what of the old text must not be lost from
 * sight.
 */
final class RevisionReach
{
    /** What a sentence that keeps somebody from harm begins with, or has in it. */
    private const WARNS = '/\b(warning|caution|danger|never|do not|does not|must not|nobody|before anybody|clear before'
        .'|stop at once)\b/i';

    /**
     * Whether a passage is among those that changed: itself, one inside it, or one that it stands in.
     *
     * `27-51` is reached by `27-51`, by `27-51-02` and by `27`, and not by `27-5` or `27-52`.
     *
     * @param list<string> $changed sections
     *
     * @pure
     */
    public static function touches(string $section, array $changed): bool
    {
        foreach ($changed as $one) {
            if (
                $one === $section || str_starts_with($one, "{$section}-") || str_starts_with($section, "{$one}-")
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Sentences of the old text that warn, and are not in the new one.
     *
     * @return list<string>
     *
     * @pure
     */
    public static function lost(string $old, string $new): array
    {
        $plain = static fn(string $s): string => strtolower((string) preg_replace('/\W+/u', ' ', $s));
        $stays = $plain($new);

        return array_values(array_filter(
            self::sentences($old),
            static fn(string $s): bool => preg_match(self::WARNS, $s) === 1
                && ! str_contains(" {$stays} ", ' '.trim($plain($s)).' '),
        ));
    }

    /**
     * Cautions of the old steps that the new ones have not.
     *
     * @param list<array<string, mixed>> $old
     * @param list<array<string, mixed>> $new
     *
     * @return list<string> their titles and texts
     *
     * @pure
     */
    public static function lostSteps(array $old, array $new): array
    {
        $said = static fn(array $s): string => trim("{$s['title']}. ".($s['text'] ?? ''));
        $warns = static fn(array $s): bool => $s['kind'] === 'caution';

        return array_values(array_diff(
            array_map($said, array_filter(Steps::expand($old), $warns)),
            array_map($said, array_filter(Steps::expand($new), $warns)),
        ));
    }

    /**
     * Figures that the passage no longer says and a step still holds.
     *
     * @param list<array<string, mixed>> $steps as written
     *
     * @return list<array{step: int, title: string, figure: string}> numbers of steps on the card
     *
     * @pure
     */
    public static function contradicted(string $old, string $new, array $steps): array
    {
        $gone = array_diff(self::figures($old), self::figures($new));
        $out = [];
        foreach (Steps::expand($steps) as $i => $step) {
            $held = [];
            $spec = array_diff_key($step['spec'] ?? [], ['points' => 0, 'adjusters' => 0, 'effects' => 0, 'each' => 0]);
            array_walk_recursive($spec, static function (mixed $value) use (&$held): void {
                $held = is_int($value) || is_float($value) ? [...$held, (string) (float) $value] : $held;
            });
            foreach ($step['spec']['points'] ?? [] as $point) {
                foreach (array_intersect_key((array) $point, ['min' => 0, 'max' => 0]) as $end) {
                    $held[] = (string) (float) $end;
                }
            }
            $held = [...$held, ...self::figures("{$step['title']} ".($step['text'] ?? ''))];
            foreach (array_intersect($gone, $held) as $figure) {
                $out[] = ['step' => $i + 1, 'title' => $step['title'], 'figure' => $figure];
            }
        }

        return $out;
    }

    /** @return list<string> */
    private static function sentences(string $text): array
    {
        $parts = preg_split('/(?<=[.!?;])\s+|\n+/u', trim($text)) ?: [];

        return array_values(array_filter(array_map(trim(...), $parts), static fn(string $s): bool => $s !== ''));
    }

    /** @return list<string> numbers of a text, each once, as a float writes them */
    private static function figures(string $text): array
    {
        preg_match_all('/(?<![\w.,-])\d+(?:[.,]\d+)?(?![\w-])/u', $text, $found);

        return array_values(array_unique(array_map(
            static fn(string $n): string => (string) (float) str_replace(',', '.', $n),
            $found[0],
        )));
    }
}
