<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\NotWhole;

/**
 * Whether what was parted, slackened, opened, turned or removed is joined again, and proven again after the last time
 * it was touched. A proof from before is none, and nothing is proven while it is apart.
 */
final class Wholeness
{
    /**
     * What is not whole, each with what rests on what.
     *
     * Proofs that a first disturbance asks for are asked for until they are there, also when a second one asks for
     * others: both have to be satisfied.
     *
     * @param list<Disturbance> $events of one aircraft and what is fitted to it, in any order
     *
     * @return list<NotWhole> in the order in which they were first disturbed
     *
     * @pure
     */
    public static function missing(array $events): array
    {
        usort($events, static fn(Disturbance $a, Disturbance $b): int => $a->id <=> $b->id);
        $of = [];
        foreach ($events as $event) {
            $of[$event->what][] = $event;
        }
        $open = array_filter(array_map(self::of(...), $of));
        usort($open, static fn(NotWhole $a, NotWhole $b): int => $a->last->id <=> $b->last->id);

        return $open;
    }

    /**
     * What of a list is apart, so that nothing of it can be proven.
     *
     * @param list<NotWhole> $open
     * @param list<string> $what
     *
     * @return list<NotWhole>
     *
     * @pure
     */
    public static function apart(array $open, array $what): array
    {
        return array_values(array_filter(
            $open,
            static fn(NotWhole $n): bool => $n->joined === null && in_array($n->what, $what, true),
        ));
    }

    /** @param non-empty-list<Disturbance> $events of one thing, in their order */
    private static function of(array $events): ?NotWhole
    {
        $last = $joined = null;
        $needs = $proven = $before = [];
        foreach ($events as $e) {
            if ($e->act === DisturbanceAct::Disturbed) {
                foreach ($e->needs as $proof) {
                    $needs[$proof->value] = $proof;
                }
                $before = [...$before, ...array_values($proven)];
                // What was only worked once more is not apart by that; and what was apart is so still.
                $joined = $e->how === DisturbedHow::Redone && ($last === null || $joined !== null) ? $e : null;
                $last = $e;
                $proven = [];
            } elseif ($last !== null && $e->act === DisturbanceAct::Joined) {
                $joined ??= $e;
            } elseif ($e->proof !== null && $joined !== null) {
                $proven[$e->proof->value] = $e;
            } elseif ($e->proof !== null && $last !== null) {
                $before[] = $e;
            }
            if ($joined !== null && array_diff_key($needs, $proven) === []) {
                $last = $joined = null;
                $needs = $proven = $before = [];
            }
        }

        return $last === null ? null : new NotWhole(
            $last->what,
            $last,
            $joined,
            array_values($proven),
            array_values(array_diff_key($needs, $proven)),
            $before,
        );
    }
}
