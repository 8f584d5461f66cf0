<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\Instant;

/** Why a step that wants a second person's word cannot be done yet: two people, each on a device of their own. */
enum SecondWord: string
{
    case NotSaid = 'not_said';
    case SamePerson = 'same_person';
    case TooLongAgo = 'too_long_ago';

    /**
     * @param string|null $saidBy id of whoever said it; null while nobody has
     * @param string $doer id of whoever does the step
     * @param int $seconds for which a word stands
     *
     * @return self|null null when it stands
     *
     * @pure
     */
    public static function missing(?string $saidBy, ?Instant $at, string $doer, Instant $now, int $seconds): ?self
    {
        return match (true) {
            $saidBy === null || $at === null => self::NotSaid,
            $saidBy === $doer => self::SamePerson,
            $now->epoch() - $at->epoch() > $seconds => self::TooLongAgo,
            default => null,
        };
    }
}
