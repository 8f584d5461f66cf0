<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Instant;

/** What a stretch of time brought a visit: cards closed, findings, work done, and the people who were there for it. */
final readonly class CourseWork
{
    /**
     * @param int $closed cards
     * @param float $planned hours of them
     * @param float $spent hours on them
     * @param int $raised findings
     * @param float $fixes hours that fixing these takes, as far as is known
     * @param float $worked hours of planned work that were done, on any card
     * @param float $there hours of people
     */
    private function __construct(
        public int $closed,
        public float $planned,
        public float $spent,
        public int $raised,
        public float $fixes,
        public float $worked,
        public float $there,
    ) {}

    /**
     * @param Instant $from included
     * @param Instant $until not included; no later than now
     * @param Instant $now to which what is begun is done
     *
     * @pure
     */
    public static function between(VisitNow $visit, Instant $from, Instant $until, Instant $now): self
    {
        $in = static fn(?Instant $at): bool => $at !== null && $at->isBefore($until) && ! $at->isBefore($from);
        $closed = $raised = 0;
        $planned = $spent = $fixes = $worked = 0.0;
        $cards = [];
        foreach ($visit->cards as $card) {
            $worked += $card->doneAt($until, $now) - $card->doneAt($from, $now);
            if ($card->findingId !== null) {
                $cards[$card->findingId] = $card->hours;
            }
            if ($in($card->closed)) {
                $closed++;
                $planned += $card->hours;
                $spent += $card->spent ?? 0.0;
            }
        }
        foreach ($visit->findings as $finding) {
            if ($in($finding->raised)) {
                $raised++;
                $fixes += $cards[$finding->id] ?? $finding->fixHours ?? 0.0;
            }
        }

        return new self(
            $closed,
            $planned,
            $spent,
            $raised,
            $fixes,
            $worked,
            $visit->hours->personHours($visit->hours->at($from), $visit->hours->at($until)),
        );
    }

    /** Hours that what was closed took more than was planned for it; below 0 for less. @pure */
    public function longer(): float
    {
        return $this->spent - $this->planned;
    }
}
