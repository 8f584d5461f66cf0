<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Floor\Touch;

/** A task card as it stands, with everything that is at its aircraft. */
final readonly class CardNow
{
    /**
     * @param Touch $touch what whoever works it has their hands in
     * @param bool $inspected whether an independent inspection is due on it
     * @param list<StepNow> $steps in the card's order
     * @param list<string> $hands ids of everybody who ever had a hand in the work, also in what was taken back, and of
     *   who stood over a trainee
     * @param list<string> $inspectors ids of who inspected one of its steps
     * @param string|null $leftBy who handed it over, while nobody has taken it over
     * @param CardRef|null $waitsFor what must be worked before anybody begins
     * @param int $daysEarly days until its visit is planned to begin, while nobody has begun that; else 0
     * @param bool $over its visit is released, or its check on the line was left
     */
    public function __construct(
        public CardRef $ref,
        public Touch $touch,
        public bool $inspected,
        public bool $revisionCurrent,
        public array $steps,
        public array $hands,
        public array $inspectors,
        public ?string $leftBy,
        public ?CardRef $waitsFor,
        public OnAircraft $on,
        public int $daysEarly = 0,
        public bool $over = false,
    ) {}

    /** @pure */
    public function state(): CardProgress
    {
        return $this->ref->state;
    }

    /** @pure */
    public function step(int $no): ?StepNow
    {
        foreach ($this->steps as $step) {
            if ($step->no === $no) {
                return $step;
            }
        }

        return null;
    }

    /** @return list<int> numbers of the steps that are not done @pure */
    public function stepsOpen(): array
    {
        return array_values(array_map(
            static fn(StepNow $s): int => $s->no,
            array_filter($this->steps, static fn(StepNow $s): bool => ! $s->done),
        ));
    }

    /** The roll-call that a step stands on: the last one before it; null where there is none. @pure */
    public function callBefore(int $no): ?StepNow
    {
        $call = null;
        foreach ($this->steps as $step) {
            $call = $step->no < $no && $step->kind === 'rollcall' ? $step : $call;
        }

        return $call;
    }

    /** @return list<StepPlace> @pure */
    public function order(): array
    {
        return array_map(static fn(StepNow $s): StepPlace => $s->place(), $this->steps);
    }

    /** Whether somebody is at its work now. @pure */
    public function has(string $personId): bool
    {
        foreach ($this->on->at($this->ref->id) as $person) {
            if ($person->id === $personId) {
                return true;
            }
        }

        return false;
    }
}
