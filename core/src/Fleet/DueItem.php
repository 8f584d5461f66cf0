<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A programme item as it stands on one aircraft: its limits, how they combine, and when it was last done. */
final readonly class DueItem
{
    /**
     * @param list<DueLimit> $limits
     * @param Day|null $firstBy while it was never done, it is not due before this day: an item that is new
     */
    private function __construct(
        public Rule $rule,
        public Rebase $rebase,
        public array $limits,
        public ?LastDone $last,
        public ?Day $firstBy = null,
    ) {}

    /**
     * @param list<DueLimit> $limits each unit once
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(Rule $rule, Rebase $rebase, array $limits, ?LastDone $last = null): self
    {
        $seen = [];
        foreach ($limits as $i => $limit) {
            if (isset($seen['#'.$limit->unit])) {
                throw InputError::usedTwice("limits.{$i}.unit", $limit->unit);
            }
            $seen['#'.$limit->unit] = true;
            if ($last !== null && ! $limit->isCalendar && ! isset($last->counters[$limit->unit])) {
                throw InputError::missing('last.counters.'.$limit->unit);
            }
        }

        return new self($rule, $rebase, $limits, $last);
    }

    /**
     * The same item with its intervals and thresholds shortened, days and months rounded down to whole ones (at least
     * 1).
     *
     * @param float $factor above 0 and at most 1, see {@see HarshUse}
     *
     * @pure
     */
    public function shortened(float $factor): self
    {
        return $factor === 1.0 ? $this : new self(
            $this->rule,
            $this->rebase,
            array_map(static fn(DueLimit $l): DueLimit => $l->shortened($factor), $this->limits),
            $this->last,
            $this->firstBy,
        );
    }

    /**
     * The same item as one that came into force on a day, with so many days until it must be done for the first time:
     * what an aircraft flew before that makes it due no sooner.
     *
     * @param int $within days, 0 or more
     *
     * @pure
     */
    public function phasedIn(Day $from, int $within): self
    {
        return new self($this->rule, $this->rebase, $this->limits, $this->last, $from->plusDays($within));
    }
}
