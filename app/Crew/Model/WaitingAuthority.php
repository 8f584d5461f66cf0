<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\Model;

/**
 * An authority that is entered and not yet confirmed by a second person: nobody holds it yet.
 *
 * @property int $person_id
 * @property string $value `duplicate` or `certify`
 * @property string|null $valid_until the last day on which it will stand
 * @property string $paper what it rests on
 * @property int $entered_by
 * @property string $entered_at an instant
 */
final class WaitingAuthority extends Model
{
    /** Whether what is held judges the work of others, so that nobody gives it alone. */
    public static function judges(string $kind, string $value): bool
    {
        return $kind === 'authority' && $value !== 'perform';
    }
}
