<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** How a check on the line stands on one aircraft. */
enum LineState
{
    /** Begun, and not worked yet. */
    case Begun;
    /** Worked, and not signed good. */
    case ToSign;
    /** Done when a crew says that something was wrong. */
    case OnReport;
    /** Done between two flights; none is good now, and none need be. */
    case BetweenFlights;
    /** A flight of today wants one before it. */
    case BeforeFlight;
    /** Every flight of today has its own. */
    case Turned;
    case Never;
    case RanOut;
    /** Good today, and not tomorrow. */
    case Ending;
    case Good;

    /**
     * @param Validity|null $last what was signed last; null where nothing ever was
     * @param bool|null $worked of one that is begun; null where none is
     * @param Turnarounds|null $turns of the day, for a check between flights; null where no flight is known
     *
     * @pure
     */
    public static function of(
        LineCheck $line,
        ?Validity $last,
        ?bool $worked,
        Day $on,
        ?Turnarounds $turns = null,
    ): self {
        return match (true) {
            $worked !== null => $worked ? self::ToSign : self::Begun,
            $line === LineCheck::Report => self::OnReport,
            $line === LineCheck::Turnaround && $turns?->any() === true
                => $turns->next() === null ? self::Turned : self::BeforeFlight,
            $last?->good($on) === true => $last->ending($on) ? self::Ending : self::Good,
            $line === LineCheck::Turnaround => self::BetweenFlights,
            default => $last === null ? self::Never : self::RanOut,
        };
    }

    /** Whether its aircraft has no check that is good. @pure */
    public function lacks(): bool
    {
        return $this === self::Never || $this === self::RanOut;
    }
}
