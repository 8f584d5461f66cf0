<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;

/** Why somebody is not the second person who answers for what a first one entered about a third. */
enum NotSecond: string
{
    case Oneself = 'oneself';
    case First = 'first';
    case Gone = 'gone';
    case Trainee = 'trainee';
    case Past = 'past';

    /**
     * @param int $by who would answer
     * @param int $about for whom
     * @param int|null $first who entered it
     * @param bool $gone whether that person has left
     *
     * @return self|null null where they may
     *
     * @pure
     */
    public static function of(int $by, int $about, ?int $first, bool $gone): ?self
    {
        return match (true) {
            $by === $about => self::Oneself,
            $by === $first => self::First,
            $gone => self::Gone,
            default => null,
        };
    }

    /**
     * The same of an authority to judge the work of others.
     *
     * @param bool $trainee whether who would hold it is one
     * @param Day|null $until its last day; null where it does not lapse
     *
     * @pure
     */
    public static function ofAuthority(
        int $by,
        int $about,
        int $first,
        bool $gone,
        bool $trainee,
        ?Day $until,
        Day $today,
    ): ?self {
        return self::of($by, $about, $first, $gone) ?? match (true) {
            $trainee => self::Trainee,
            $until !== null && $until->number < $today->number => self::Past,
            default => null,
        };
    }
}
