<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Now\VisitNow;

/** How many people of a skill a visit's plan takes, beside how many there are. */
final readonly class PeopleUse
{
    /** @param list<array{int, int, int, int}> $spans from slot, to slot, taken, there */
    private function __construct(public string $skill, public int $most, public array $spans) {}

    /**
     * @param int $slots of the visit's hours, from the first on
     *
     * @return list<self> of the skills that it takes
     *
     * @pure
     */
    public static function of(VisitNow $visit, int $slots): array
    {
        $hours = $visit->hours;
        $there = $hours->people();
        $used = [];
        foreach ($visit->cards as $card) {
            $from = $card->from();
            if ($from === null) {
                continue;
            }
            $first = (int) floor($hours->place($from));
            $until = (int) ceil($hours->place($card->to() ?? $from) - 1e-6);
            foreach ($card->needs as $skill => $many) {
                for ($slot = $first; $slot < $until; $slot++) {
                    // Where its people are not on shift it rests, and takes nobody.
                    if (($there[$skill][$slot] ?? 0) >= $many) {
                        $used[$skill][$slot] = ($used[$skill][$slot] ?? 0) + $many;
                    }
                }
            }
        }
        $out = [];
        foreach ($used as $skill => $at) {
            $spans = [];
            $most = 1;
            for ($slot = 0; $slot < $slots; $slot++) {
                [$taken, $in] = [$at[$slot] ?? 0, $there[$skill][$slot] ?? 0];
                $most = max($most, $taken, $in);
                $last = count($spans) - 1;
                if ($last >= 0 && $spans[$last][2] === $taken && $spans[$last][3] === $in) {
                    $spans[$last][1] = $slot + 1;
                } else {
                    $spans[] = [$slot, $slot + 1, $taken, $in];
                }
            }
            $out[] = new self((string) $skill, $most, $spans);
        }

        return $out;
    }
}
