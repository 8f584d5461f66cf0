<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

/** Which visits of a season that is planned anew are the ones that there were: those with the most in common. */
final class LaidAgain
{
    /**
     * @param list<LaidVisit> $were
     * @param list<array{aircraft: string, start: string, items: list<string>}> $are
     *
     * @return array<int, string> the visit that it was, by place in the list of those that are; each once, and only
     *   where the two share an item
     *
     * @pure
     */
    public static function of(array $were, array $are): array
    {
        $pairs = [];
        foreach ($are as $n => $is) {
            foreach ($were as $w => $was) {
                $common = $was->aircraft === $is['aircraft'] ? count(array_intersect($was->items, $is['items'])) : 0;
                if ($common > 0) {
                    $pairs[] = [-$common, strcmp((string) $was->start, $is['start']) === 0 ? 0 : 1, $w, $n];
                }
            }
        }
        sort($pairs);
        $ids = $taken = [];
        foreach ($pairs as [, , $w, $n]) {
            if (! isset($ids[$n]) && ! isset($taken[$w])) {
                $ids[$n] = $were[$w]->id;
                $taken[$w] = true;
            }
        }

        return $ids;
    }
}
