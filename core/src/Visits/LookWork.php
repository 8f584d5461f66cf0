<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Instant;

/** How far a visit's look has come at an instant, and what was left to fix and to work then. */
final readonly class LookWork
{
    /**
     * @param float $look hours of the whole look
     * @param float $looked of them, done
     * @param int $found findings raised
     * @param float $openFix hours of fixes known and not worked
     * @param float $otherWork hours of all other cards left, at the pace so far
     */
    private function __construct(
        public float $look,
        public float $looked,
        public int $found,
        public float $openFix,
        public float $otherWork,
    ) {}

    /**
     * @param float $median hours of a fix of which nobody has said how long it takes
     *
     * @pure
     */
    public static function at(VisitNow $visit, Instant $at, Instant $now, float $median): self
    {
        $look = $looked = $other = $openFix = 0.0;
        $fixes = [];
        foreach ($visit->cards as $card) {
            $left = $card->hours - $card->doneAt($at, $now);
            if ($card->stage === VisitStage::Look) {
                $look += $card->hours;
                $looked += $card->hours - $left;
            }
            if ($card->findingId === null) {
                $other += $left;
            } else {
                $fixes[$card->findingId] = $left;
            }
        }
        $found = 0;
        foreach ($visit->findings as $finding) {
            $found += $finding->raisedBy($at) ? 1 : 0;
            $openFix += $finding->openAt($at) ? $fixes[$finding->id] ?? $finding->fixHours ?? $median : 0.0;
        }

        return new self($look, $looked, $found, $openFix, (Pace::of($visit->cards, $at) ?? 1.0) * $other);
    }
}
