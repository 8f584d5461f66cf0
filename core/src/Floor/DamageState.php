<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\Day;

/** How a damage stands that is on the map. */
enum DamageState
{
    /** Blended, repaired, or none after all. */
    case Settled;
    /** Not allowed as it is, and carried. */
    case Deferred;
    /** Not allowed as it is. */
    case NotAllowed;
    /** Allowed, and the day is past by which it was to be looked at again. */
    case Overdue;
    /** Allowed, and longer than when it was looked at before. */
    case Grows;
    case Allowed;

    /**
     * @param list<string> $against what of it is not allowed: {@see DamageLimits::against()}
     * @param FindingProgress|null $raised the finding that was raised for it
     * @param Day|null $lookBy the last day without another look
     *
     * @pure
     */
    public static function of(
        bool $open,
        array $against,
        ?FindingProgress $raised,
        ?Day $lookBy,
        Day $on,
        DamageGrowth $growth,
    ): self {
        return match (true) {
            ! $open => self::Settled,
            $against !== [] => $raised === FindingProgress::Deferred ? self::Deferred : self::NotAllowed,
            $lookBy !== null && $lookBy->number < $on->number => self::Overdue,
            ($growth->since ?? 0.0) > 0 => self::Grows,
            default => self::Allowed,
        };
    }

    /**
     * Whether a look makes a finding of it: it is not allowed, and no finding stands for it yet.
     *
     * @param list<string> $against
     *
     * @pure
     */
    public static function raises(array $against, ?FindingProgress $raised): bool
    {
        return $against !== [] && ($raised === null || $raised === FindingProgress::Fixed);
    }
}
