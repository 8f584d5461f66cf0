<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * Will a defect be closed before its time runs out: the slot that ends first of those that begin when everything is
 * there and have the hours. Contract: docs/core.md, core/schema/closure.json.
 */
final readonly class Closure
{
    /**
     * @param 'in_time'|'late'|'no_slot'|'unknown' $verdict
     * @param Day|null $readyOn when everything is there; null where a wait's day is not known
     * @param ClosureSlot|null $slot the one taken
     * @param int|null $spare days between its end and the last day
     * @param list<string> $heldBy the waits that decide when it is ready
     * @param Day|null $readyBy the day by which everything must be there to make it; null where no slot would
     */
    private function __construct(
        public string $verdict,
        public ?Day $readyOn,
        public ?ClosureSlot $slot,
        public ?int $spare,
        public array $heldBy,
        public ?Day $readyBy,
    ) {}

    /**
     * @param Day|null $last the last day on which it may be carried; null where nothing ends it
     * @param float $hours that the closure takes, at least 0
     * @param list<ClosureWait> $waits
     * @param list<ClosureSlot> $slots
     *
     * @throws InputError for negative hours
     *
     * @pure
     */
    public static function of(Day $asOf, ?Day $last, float $hours, array $waits, array $slots): self
    {
        if ($hours < 0) {
            throw InputError::negative('hours');
        }
        $unknown = array_values(array_filter($waits, static fn(ClosureWait $w): bool => $w->on === null));
        $ready = max([$asOf->number, ...array_map(static fn(ClosureWait $w): int => $w->on->number ?? 0, $waits)]);
        $heldBy = $unknown !== [] ? $unknown : array_filter(
            $waits,
            static fn(ClosureWait $w): bool => $w->on?->number === $ready && $ready > $asOf->number,
        );
        $roomy = array_filter($slots, static fn(ClosureSlot $s): bool => Near::atLeast($s->free, $hours));
        $slot = null;
        $by = null;
        foreach ($roomy as $one) {
            $sooner = $slot === null
                || [$one->end->number, $one->start->number] < [$slot->end->number, $slot->start->number];
            if ($unknown === [] && $one->start->number >= $ready && $sooner) {
                $slot = $one;
            }
            $makes = $one->start->number >= $asOf->number && ($last === null || $one->end->number <= $last->number);
            if ($makes && ($by === null || $one->start->number > $by->number)) {
                $by = $one->start;
            }
        }

        return new self(
            match (true) {
                $unknown !== [] => 'unknown',
                $slot === null => 'no_slot',
                $last !== null && $slot->end->number > $last->number => 'late',
                default => 'in_time',
            },
            $unknown === [] ? Day::fromNumber($ready) : null,
            $slot,
            $slot === null || $last === null ? null : $slot->end->daysUntil($last),
            array_map(static fn(ClosureWait $w): string => $w->id, array_values($heldBy)),
            $by,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict,
            'ready_on' => $this->readyOn === null ? null : (string) $this->readyOn,
            'slot' => $this->slot?->id,
            'closes_on' => $this->slot === null ? null : (string) $this->slot->end,
            'days_to_spare' => $this->spare,
            'held_by' => $this->heldBy,
            'ready_by' => $this->readyBy === null ? null : (string) $this->readyBy,
        ];
    }
}
