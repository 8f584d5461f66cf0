<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Now\StepNow;

/**
 * What holds a step that energises, moves or pressurises.
 *
 * Nothing overrides it: a step is free again when the last thing that stands against it is gone.
 */
final class Interlock
{
    /**
     * Everybody and everything at the aircraft that says no to a step; on whatever card they are.
     *
     * Others at the same card hold it too, unless a roll-call of the card comes before the step and has called them
     * clear. Devices that are meant to be on for it hold nothing. Whatever acts on the same systems from another card
     * holds it, too.
     *
     * @param string $by who works the step, and holds it not
     *
     * @return list<PersonAt|Acting|DeviceOn> people first, then what acts, then open lines, then devices; none for a
     *   step that acts on nothing or is done
     *
     * @pure
     */
    public static function holding(CardNow $card, StepNow $step, string $by): array
    {
        if ($step->acts === null || $step->done) {
            return [];
        }
        $acts = new Touch($step->acts->systems, $card->touch->zone);
        $called = $card->callBefore($step->no) !== null;
        $people = array_filter(
            $card->on->people,
            static fn(PersonAt $p): bool
                => $p->id !== $by && ! ($called && $p->card->id === $card->ref->id) && $p->touch->meets($acts),
        );
        $devices = array_filter(
            $card->on->devices,
            static fn(DeviceOn $d): bool => ! in_array($d->kind, $step->acts->with, true) && $d->against->meets($acts),
        );

        $acting = array_filter(
            $card->on->acting,
            static fn(Acting $a): bool => $a->card->id !== $card->ref->id && $a->touch->meets($acts),
        );

        return [
            ...array_values($people),
            ...array_values($acting),
            ...array_values(array_filter($devices, static fn(DeviceOn $d): bool => $d->openLine)),
            ...array_values(array_filter($devices, static fn(DeviceOn $d): bool => ! $d->openLine)),
        ];
    }
}
