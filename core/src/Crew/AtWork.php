<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use DateTimeImmutable;
use DateTimeZone;
use Jorvel\Core\Now\CrewNow;
use Jorvel\Core\Now\PersonNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** Whether somebody is at work when a card is planned, and free for it. */
enum AtWork: string
{
    case Yes = 'yes';
    /** On none of its days: leave, sickness, a day off, or gone for good. */
    case Away = 'away';
    /** At work on its days, on another shift than it is planned in. */
    case OffShift = 'off_shift';
    /** On another card that is planned at the same time. */
    case Elsewhere = 'elsewhere';

    /**
     * @param Instant|null $from when the card is planned; null where it has no plan, and then the day counts
     * @param Day $day on which it begins
     * @param string $card whose own placing does not count
     *
     * @pure
     */
    public static function during(
        CrewNow $crew,
        PersonNow $person,
        Day $day,
        ?Instant $from,
        ?Instant $until,
        string $card,
    ): self {
        if ($from === null || $until === null) {
            return $person->rota->worksOn($day) ? self::Yes : self::Away;
        }
        $there = $on = false;
        for ($n = $from->dayIn($crew->zone)->number, $last = $until->dayIn($crew->zone)->number; $n <= $last; $n++) {
            $shift = $person->rota->shiftOn(Day::fromNumber($n));
            $there = $there || $shift !== null;
            $hours = $shift === null ? null : $crew->shifts[$shift] ?? null;
            $on = $on || ($hours !== null && self::meets(
                $from,
                $until,
                self::at($n, $hours->from, $crew->zone),
                self::at($n, $hours->until, $crew->zone),
            ));
        }

        return match (true) {
            ! $there => self::Away,
            ! $on => self::OffShift,
            self::placed($person, $from, $until, $card) !== null => self::Elsewhere,
            default => self::Yes,
        };
    }

    /**
     * The first other card on which somebody is placed at that time; null where there is none.
     *
     * @return string|null its number and title
     *
     * @pure
     */
    public static function placed(PersonNow $person, Instant $from, Instant $until, string $card): ?string
    {
        foreach ($person->placed as $p) {
            if (
                $p->card !== $card
                && $p->from !== null
                && $p->until !== null
                && self::meets($from, $until, $p->from, $p->until)
            ) {
                return "{$p->number} {$p->title}";
            }
        }

        return null;
    }

    private static function meets(Instant $from, Instant $until, Instant $begins, Instant $ends): bool
    {
        return $from->isBefore($ends) && $begins->isBefore($until);
    }

    private static function at(int $day, string $time, DateTimeZone $zone): Instant
    {
        return Instant::fromEpoch((new DateTimeImmutable(Day::fromNumber($day)." {$time}", $zone))->getTimestamp());
    }
}
