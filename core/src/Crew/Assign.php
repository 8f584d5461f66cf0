<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Deadline;

/**
 * Who works what: as many slots filled as can be, then the most even load.
 *
 * A person fits a slot when skill, rating and authority are held and valid on its date; nobody both performs and
 * inspects on one card; hours per person and date are not exceeded. The load is the lowest sum of squares of all of a
 * person's hours.
 */
final class Assign
{
    /**
     * @param list<AssignPerson> $people
     * @param list<AssignSlot> $slots
     * @param Deadline|null $deadline for a search by the clock
     * @param int $rounds of search at most; the same result on every machine where there is no deadline
     * @param array<array-key, list<string>> $barred people by slot who would not be independent, for what they did
     *   before
     * @param list<array{string, string}> $apart pairs of slots that nobody can have both of, as when they are at the
     *   same time
     *
     * @pure but for the deadline
     */
    public static function of(
        array $people,
        array $slots,
        ?Deadline $deadline = null,
        int $rounds = 40,
        array $barred = [],
        array $apart = [],
    ): AssignResult {
        $search = new AssignSearch(new AssignGround($people, $slots, $barred, $apart), $deadline);
        $proven = $search->run($rounds);
        $assigned = $open = [];
        foreach ($slots as $s => $slot) {
            $p = $search->holder($s);
            if ($p !== null) {
                $assigned[$slot->id] = $people[$p]->id;

                continue;
            }
            $why = [];
            foreach ($people as $n => $person) {
                $tookPart = in_array($person->id, $barred[$slot->id] ?? [], true);
                $why[$person->id] = $slot->unfit($person->holds)
                    ?? ($tookPart ? 'not_independent' : $search->unfree($s, $n));
            }
            $open[] = ['slot' => $slot->id, 'why' => $why];
        }

        return new AssignResult($assigned, $open, $proven);
    }
}
