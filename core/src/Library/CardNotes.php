<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\Wholeness;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Shared\Instant;

/**
 * What a card leaves behind it when it is worked from its first step to its last: no faults, for another card may close
 * what this one opens, but whoever writes it should mean it.
 */
final class CardNotes
{
    /**
     * @param list<array<string, mixed>> $steps as a card has them: {@see Steps::expand()}
     *
     * @return list<NotWhole> what it disturbs and does not join or prove
     *
     * @pure
     */
    public static function unproven(array $steps): array
    {
        $events = [];
        foreach ($steps as $i => $step) {
            $handling = Handling::of($step['spec'] ?? []);
            foreach ($handling->disturbs ?? [] as $d) {
                $id = count($events);
                $events[] = self::event($id, $i + 1, $d['what'], DisturbanceAct::Disturbed, $d['how'], $d['needs']);
            }
            foreach (Handling::ofAdjusters($step['spec'] ?? []) as $what => $needs) {
                // A screw that is turned is not apart, and the sheet's own readings are its first proof.
                $how = DisturbedHow::Turned;
                $events[] = self::event(count($events), $i + 1, $what, DisturbanceAct::Disturbed, $how, $needs);
                $events[] = self::event(count($events), $i + 1, $what, DisturbanceAct::Joined);
                $events[] = self::event(count($events), $i + 1, $what, DisturbanceAct::Proven, proof: Proof::Reading);
            }
            foreach ($handling->joins ?? [] as $what) {
                $events[] = self::event(count($events), $i + 1, $what, DisturbanceAct::Joined);
            }
            foreach ($handling->proves ?? [] as $p) {
                foreach ($p['of'] as $what) {
                    $events[] = self::event(count($events), $i + 1, $what, DisturbanceAct::Proven, proof: $p['by']);
                }
            }
        }

        return Wholeness::missing($events);
    }

    /**
     * Numbers of steps that fit something which no later step takes off.
     *
     * @param list<array<string, mixed>> $steps
     *
     * @return list<int>
     *
     * @pure
     */
    public static function leftFitted(array $steps): array
    {
        $fitted = [];
        foreach ($steps as $i => $step) {
            if ($step['kind'] === 'safing_fit') {
                $fitted[$i + 1] = true;
            }
            if ($step['kind'] === 'safing_remove' && ! isset($step['spec']['made'])) {
                unset($fitted[$step['spec']['of'] ?? 0]);
            }
        }

        return array_keys($fitted);
    }

    /** @param list<Proof> $needs */
    private static function event(
        int $id,
        int $no,
        string $what,
        DisturbanceAct $act,
        ?DisturbedHow $how = null,
        array $needs = [],
        ?Proof $proof = null,
    ): Disturbance {
        return new Disturbance(
            id: $id,
            what: $what,
            act: $act,
            how: $how,
            needs: $needs,
            proof: $proof,
            card: new CardRef('', '', '', CardProgress::Open, '', ''),
            step: $no,
            by: '',
            at: Instant::fromEpoch(0),
        );
    }
}
