<?php

declare(strict_types=1);

namespace App\Crew;

/** What Crew says. */
final class CrewWords
{
    /** Why somebody is not at work, after their name; by what the controller entered for the day. */
    public static function away(?string $why): string
    {
        return match ($why) {
            null => 'does not work',
            'sick' => 'is off sick',
            'leave' => 'is on leave',
            default => "is away ({$why})",
        };
    }
}
