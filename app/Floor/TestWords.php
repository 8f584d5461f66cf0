<?php

declare(strict_types=1);

namespace App\Floor;

use App\Floor\Model\TestAttempt;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Floor\AttemptState;

/** What is said of functional tests and of attempts at them. */
final class TestWords
{
    public static function state(AttemptState $state): string
    {
        return match ($state) {
            AttemptState::Begun => 'goes on', AttemptState::Passed => 'passed', AttemptState::Failed => 'failed',
            AttemptState::Invalid => 'not valid', AttemptState::BrokenOff => 'broken off',
        };
    }

    /** The look of a state: told by shape first. */
    public static function look(AttemptState $state): string
    {
        return match ($state) {
            AttemptState::Begun => 'waiting', AttemptState::Passed => 'clear', AttemptState::Failed => 'stop',
            AttemptState::Invalid, AttemptState::BrokenOff => 'watch',
        };
    }

    /** Who, when, and what decided it. Load its people first. */
    public static function attempt(TestAttempt $a, Clock $clock): string
    {
        $who = $a->state === AttemptState::Begun
            ? "begun by {$a->beginner->name}, {$clock->local($a->begun_at)}"
            : "{$a->ender?->name}, ".($a->ended_at === null ? '' : $clock->local($a->ended_at));

        return trim($who, ' ,').($a->decided === null || $a->decided === []
            ? ''
            : ': '.implode('; ', $a->decided));
    }

    /** @param array<string, mixed> $limit `title`, `unit`, `min`, `max` */
    public static function limit(array $limit): string
    {
        return trim("{$limit['title']} ".Words::within(
            isset($limit['min']) ? (float) $limit['min'] : null,
            isset($limit['max']) ? (float) $limit['max'] : null,
            self::unit($limit['unit'] ?? ''),
        ));
    }

    private static function unit(string $unit): string
    {
        return match ($unit) {
            'C' => '°C', 'deg' => '°', default => $unit,
        };
    }

    /** What stands at a test, in a sentence. */
    public static function sentence(?TestAttempt $last, ?AttemptState $would): string
    {
        return match (true) {
            $last === null => 'No attempt yet.',
            $last->state === AttemptState::Begun && $last->broken_at !== null
                => "Attempt {$last->no} is ".self::state($last->broken_as)
                    .": {$last->broken_why}. Put everything back.",
            $last->state === AttemptState::Begun && $would === AttemptState::Failed
                => "Attempt {$last->no} has failed. Put everything back, then save the verdict.",
            $last->state === AttemptState::Begun => "Attempt {$last->no} goes on.",
            default => "Attempt {$last->no} ".self::state($last->state).'.',
        };
    }
}
