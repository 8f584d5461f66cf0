<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Shared\Day;

/** A damage that is looked at again and again until it is repaired. */
final readonly class DamageNow
{
    /**
     * @param float|null $hours of the aircraft at which it must be looked at again; null where no hours are named
     * @param Day|null $day on which at the latest; null where no days are named
     */
    public function __construct(public string $id, public ?float $hours, public ?Day $day) {}

    /** What it is called among the stops of its aircraft. @pure */
    public function stop(): string
    {
        return 'damage:'.$this->id;
    }

    /**
     * The last day on which it may fly without being looked at again; null beyond the horizon, and where it is not to
     * be.
     *
     * @pure
     */
    public function lookBy(Flying $flying): ?Day
    {
        $flown = $this->hours === null ? null : $flying->lastDaysWithin(
            'fh',
            $flying->counters['fh'] ?? 0.0,
            $this->hours,
            0.0,
        )[0];

        return match (true) {
            $flown === null => $this->day,
            $this->day === null => $flown,
            default => $flown->number < $this->day->number ? $flown : $this->day,
        };
    }
}
