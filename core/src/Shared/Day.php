<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function min;

/**
 * A calendar date, kept as the number of days since 1970-01-01 (proleptic Gregorian), years 1 to 9999.
 *
 * The conversions are the usual era arithmetic (400 years are 146,097 days), so that no date object is made in a loop.
 * Quotients of these small numbers are exact in floats, and quicker than a call.
 */
final readonly class Day implements \JsonSerializable, \Stringable
{
    /** 0001-01-01. */
    public const FIRST = -719162;

    /** 9999-12-31. */
    public const LAST = 2932896;

    private function __construct(public int $number) {}

    /** @pure */
    public static function fromNumber(int $number): self
    {
        return new self($number);
    }

    /**
     * Reads `YYYY-MM-DD`.
     *
     * @throws InputError for another form or an impossible date
     *
     * @pure
     */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $m) !== 1) {
            throw InputError::at('', 'must be a date as YYYY-MM-DD');
        }
        if ((int) $m[1] < 1 || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw InputError::at('', "there is no date {$text}");
        }

        return new self(self::toNumber((int) $m[1], (int) $m[2], (int) $m[3]));
    }

    /** @pure */
    public function plusDays(int $days): self
    {
        return new self($this->number + $days);
    }

    /**
     * The same day of the month, so many months on; a month too short gives its last day.
     *
     * @param int|null $anchor the day of the month to keep (1–31); this date's own where null
     *
     * @pure
     */
    public function plusMonths(int $months, ?int $anchor = null): self
    {
        [$y, $m, $d] = self::toCivil($this->number);
        $total = $y * 12 + $m - 1 + $months;
        $year = (int) ($total / 12);
        $month = $total % 12 + 1;

        return new self(self::toNumber($year, $month, min($anchor ?? $d, self::daysIn($year, $month))));
    }

    /** ISO: 1 for Monday, 7 for Sunday. @pure */
    public function weekday(): int
    {
        // 1 January 1970 was a Thursday.
        return (($this->number + 3) % 7 + 7) % 7 + 1;
    }

    /** @pure */
    public function dayOfMonth(): int
    {
        return self::toCivil($this->number)[2];
    }

    /** @pure */
    public function isLastOfMonth(): bool
    {
        [$y, $m, $d] = self::toCivil($this->number);

        return $d === self::daysIn($y, $m);
    }

    /**
     * Days from this date to another; negative when the other is earlier.
     *
     * @pure
     */
    public function daysUntil(self $other): int
    {
        return $other->number - $this->number;
    }

    public function __toString(): string
    {
        return vsprintf('%04d-%02d-%02d', self::toCivil($this->number));
    }

    /** As text, in JSON too. @pure */
    public function jsonSerialize(): string
    {
        return (string) $this;
    }

    /** @pure */
    private static function daysIn(int $year, int $month): int
    {
        return match ($month) {
            2 => $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0) ? 29 : 28,
            4, 6, 9, 11 => 30,
            default => 31,
        };
    }

    /** @pure */
    private static function toNumber(int $y, int $m, int $d): int
    {
        $y -= $m <= 2 ? 1 : 0;
        $era = (int) ($y / 400);
        $yearOfEra = $y - $era * 400;
        $dayOfYear = (int) ((153 * ($m + ($m > 2 ? -3 : 9)) + 2) / 5) + $d - 1;

        $leaps = (int) ($yearOfEra / 4) - (int) ($yearOfEra / 100);

        return $era * 146097 + $yearOfEra * 365 + $leaps + $dayOfYear - 719468;
    }

    /**
     * @return array{int, int, int} year, month, day
     *
     * @pure
     */
    private static function toCivil(int $number): array
    {
        $z = $number + 719468;
        $era = (int) ($z / 146097);
        $dayOfEra = $z - $era * 146097;
        $yearOfEra = (int) (
            ($dayOfEra - (int) ($dayOfEra / 1460) + (int) ($dayOfEra / 36524) - (int) ($dayOfEra / 146096)) / 365
        );
        $dayOfYear = $dayOfEra - (365 * $yearOfEra + (int) ($yearOfEra / 4) - (int) ($yearOfEra / 100));
        $mp = (int) ((5 * $dayOfYear + 2) / 153);
        $m = $mp + ($mp < 10 ? 3 : -9);

        return [$yearOfEra + $era * 400 + ($m <= 2 ? 1 : 0), $m, $dayOfYear - (int) ((153 * $mp + 2) / 5) + 1];
    }
}
