<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Idle;
use Jorvel\Core\Visits\VisitStage;
use Jorvel\Core\Visits\WorkHours;

/** A card as its visit sees it: what it needs, when it is planned, and how far it has come. */
final readonly class CardInVisit
{
    /**
     * @param string|null $makes `raise`, `lower`, `fix` …; null for an item's card
     * @param array<string, int> $needs people by skill
     * @param array<string, string> $configuration of the aircraft that it needs, such as `jacks`: `on`
     * @param float $hours of work, as planned
     * @param float $left of them, by the steps that are done
     * @param float|null $spent booked when it was signed
     * @param Instant|null $latest from which on its start moves the exit
     * @param bool $chain on the chain that decides the exit
     * @param string|null $findingId that it fixes
     */
    public function __construct(
        public CardRef $ref,
        public VisitStage $stage,
        public ?string $makes,
        public array $needs,
        public array $configuration,
        public float $hours,
        public float $left,
        public ?float $spent,
        public ?Instant $begun,
        public ?Instant $closed,
        public ?Instant $planned,
        public ?Instant $plannedEnd,
        public ?Instant $latest,
        public bool $chain,
        public ?string $findingId,
    ) {}

    /** @pure */
    public function worked(): bool
    {
        return $this->ref->state->worked();
    }

    /** When its work began, or is planned to. @pure */
    public function from(): ?Instant
    {
        return $this->begun ?? $this->planned;
    }

    /** When it ended, or is planned to. @pure */
    public function to(): ?Instant
    {
        return $this->closed ?? $this->plannedEnd;
    }

    /** Whether it should be worked by now, or begun, and is not. @pure */
    public function behind(Instant $now): bool
    {
        $to = $this->to() ?? $this->begun;

        return ! $this->worked()
            && ($to?->isBefore($now) === true || ($this->begun === null && $this->planned?->isBefore($now) === true));
    }

    /** Whether it is planned to begin or to end when there are not the people for it. @pure */
    public function idle(WorkHours $hours, Instant $now): bool
    {
        return ! $this->worked()
            && Idle::is(
                $this->begun === null ? $this->planned : null,
                $this->plannedEnd,
                $this->needs,
                $now,
                $hours->there(...),
            );
    }

    /**
     * Hours of it that were done at an instant: what is done by now was done evenly from its beginning on.
     *
     * @pure
     */
    public function doneAt(Instant $at, Instant $now): float
    {
        if ($this->begun === null || $at->isBefore($this->begun)) {
            return 0.0;
        }
        if ($this->closed !== null && ! $at->isBefore($this->closed)) {
            return $this->hours;
        }
        $done = $this->closed === null ? $this->hours - $this->left : $this->hours;
        $took = ($this->closed ?? $now)->epoch() - $this->begun->epoch();

        return $done * min(1.0, ($at->epoch() - $this->begun->epoch()) / max(1, $took));
    }
}
