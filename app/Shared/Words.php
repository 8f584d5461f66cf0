<?php

declare(strict_types=1);

namespace App\Shared;

use DateTimeImmutable;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Numbers and codes as they are said on a screen. */
final class Words
{
    private const COUNTERS = [
        'fh' => ['flight hour', 'flight hours'],
        'ldg' => ['landing', 'landings'],
        'cyc' => ['engine cycle', 'engine cycles'],
        'days' => ['day', 'days'],
        'months' => ['month', 'months'],
    ];

    private const UNFIT = [
        'no_authority' => 'has no authority to %s', 'no_rating' => 'has no %s rating', 'no_skill' => 'has no %s skill',
        'not_independent' => 'would not be independent: has worked on this card or is assigned to it in the other role',
    ];

    /**
     * What counters stand at: "4,120.5 flight hours, 3,981 landings".
     *
     * @param array<string, int|float> $counters by name
     */
    public static function counters(array $counters): string
    {
        return implode(', ', array_map(
            static fn(string $name, int|float $value): string => self::amount((float) $value, $name),
            array_keys($counters),
            $counters,
        ));
    }

    /**
     * "41 flight hours", "1 landing", "12.5 flight hours"; what is counted in whole ones is said in whole ones, never
     * more than there is.
     */
    public static function amount(float $value, string $unit): string
    {
        [$one, $many] = self::COUNTERS[$unit] ?? [$unit, $unit];
        $number = $unit === 'fh' || ! isset(self::COUNTERS[$unit])
            ? self::number($value)
            : self::number(floor($value + 1e-6));

        return $number.' '.($number === '1' ? $one : $many);
    }

    /** A counter's name: "Flight hours". */
    public static function counter(string $unit): string
    {
        return ucfirst(self::COUNTERS[$unit][1] ?? $unit);
    }

    /** At most one decimal, none when whole. */
    public static function number(float $value, int $decimals = 1): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** A date as every screen says it: "Thu 14 May", with the year where it is not today's. */
    public static function day(Day $day, Day $today): string
    {
        $year = substr((string) $day, 0, 4) === substr((string) $today, 0, 4);

        return (new DateTimeImmutable((string) $day))->format($year ? 'D j M' : 'D j M Y');
    }

    /** A sentence in which days were written as in files, with them as every screen says them. */
    public static function days(string $said, Day $today): string
    {
        return (string) preg_replace_callback(
            '/(?<![\w-])\d{4}-\d{2}-\d{2}(?![\w-])/',
            static function (array $found) use ($today): string {
                try {
                    return self::day(Day::parse($found[0]), $today);
                } catch (InputError) {
                    return $found[0];
                }
            },
            $said,
        );
    }

    /** "today", "tomorrow", "in 9 days", "3 days ago". */
    public static function fromNow(int $days): string
    {
        return match (true) {
            $days === 0 => 'today',
            $days === 1 => 'tomorrow',
            $days === -1 => 'yesterday',
            $days > 0 => "in {$days} days",
            default => -$days.' days ago',
        };
    }

    /**
     * "a", "a and b", "a, b and c".
     *
     * @param list<string> $things
     */
    public static function list(array $things): string
    {
        $last = array_pop($things);

        return $things === [] ? (string) $last : implode(', ', $things)." and {$last}";
    }

    /** "at most 25 kt", "400 to 900 kg"; empty where neither end is given. */
    public static function within(?float $min, ?float $max, string $unit): string
    {
        $said = match (true) {
            $min === null && $max === null => '',
            $min === null => 'at most '.self::number($max, 3),
            $max === null => 'at least '.self::number($min, 3),
            default => self::number($min, 3).' to '.self::number($max, 3),
        };

        return trim("{$said} {$unit}");
    }

    /** "1 day", "12 days", "1,111 items". */
    public static function count(int $many, string $one, ?string $more = null): string
    {
        return $many === 1 ? "1 {$one}" : number_format($many).' '.($more ?? "{$one}s");
    }

    /**
     * Numbers in a row said short: "1 to 4, 6".
     *
     * @param list<int> $numbers
     */
    public static function numbers(array $numbers): string
    {
        sort($numbers);
        $runs = [];
        foreach ($numbers as $n) {
            $last = array_key_last($runs);
            if ($last !== null && $runs[$last][1] === $n - 1) {
                $runs[$last][1] = $n;
            } else {
                $runs[] = [$n, $n];
            }
        }

        return implode(', ', array_map(static fn(array $r): string => match ($r[1] - $r[0]) {
            0 => (string) $r[0],
            1 => "{$r[0]} and {$r[1]}",
            default => "{$r[0]} to {$r[1]}",
        }, $runs));
    }

    /** Why somebody does not fit, after their name: "has no SKV rating". */
    public static function unfit(string $code, string $role, string $type, ?string $skill): string
    {
        if (str_starts_with($code, 'expired:')) {
            $value = substr($code, 8);

            return 'needs a valid '.substr(self::qualification(match ($value) {
                $role => 'authority', $type => 'rating', default => 'skill',
            }, $value), 4).': it has lapsed';
        }

        return sprintf(self::UNFIT[$code] ?? $code, match ($code) {
            'no_authority' => self::role($role),
            'no_rating' => $type,
            default => (string) $skill,
        });
    }

    /** What somebody holds: "the engine skill", "the SKV rating", "the authority to inspect independently". */
    public static function qualification(string $kind, string $value): string
    {
        return match ($kind) {
            'skill' => "the {$value} skill",
            'rating' => "the {$value} rating",
            default => 'the authority to '.self::role($value),
        };
    }

    /** What a role does: "work cards". */
    private static function role(string $role): string
    {
        return [
            'perform' => 'work cards',
            'duplicate' => 'inspect independently',
            'certify' => 'certify',
        ][$role] ?? $role;
    }
}
