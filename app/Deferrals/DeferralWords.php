<?php

declare(strict_types=1);

namespace App\Deferrals;

use App\Shared\Words;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Shared\Day;

/** What the room Deferrals says; pure. */
final class DeferralWords
{
    /**
     * The room's own sentence: what runs out first, and how many findings wait for a decision.
     *
     * @param string|null $first registration, title and what is left of the first; null where nothing is carried
     */
    public static function room(?string $first, int $waiting): string
    {
        $carried = match (true) {
            $first !== null => "{$first}.",
            $waiting > 0 => 'Nothing is carried yet.',
            default => 'No defect is carried. One comes here when a finding is deferred under a listed item.',
        };

        return $carried.match ($waiting) {
            0 => '',
            1 => ' One finding waits for a decision.',
            default => " {$waiting} findings wait for a decision.",
        };
    }

    /**
     * Until when a deferral may be carried.
     *
     * @param callable(Day): string $when
     */
    public static function left(ClockResult $clock, Day $today, callable $when): string
    {
        if ($clock->status === 'expired') {
            return 'Has run out: the aircraft must not fly with it';
        }
        if ($clock->forecastLast === null) {
            return 'Does not run out within twenty years';
        }
        $day = $when($clock->forecastLast);

        return $clock->driver === 'days'
            ? "Runs out at the end of {$day}, ".Words::fromNow($today->daysUntil($clock->forecastLast))
            : "Expected to run out at the end of {$day}, ".Words::amount(
                $clock->usageLeft[$clock->driver] ?? 0,
                (string) $clock->driver,
            ).' left';
    }

    /**
     * What else is left than what it runs out by, which is said already.
     *
     * @param array<string, float> $left by counter
     */
    public static function others(array $left): string
    {
        return implode(', ', array_map(
            static fn(string $counter, float $value): string => Words::amount($value, $counter).' left',
            array_keys($left),
            $left,
        ));
    }
}
