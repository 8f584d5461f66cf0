<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * An address that is told of what happens, until it is revoked. Its secret signs every message; it is kept encrypted.
 *
 * @property int $id
 * @property int $person_id
 * @property string $name
 * @property string $address
 * @property string $secret
 * @property list<string> $events of {@see EVENTS}
 * @property int $read the last record that was looked at for it
 * @property Instant $made_at
 * @property Instant|null $revoked_at
 * @property-read Person $person
 */
final class Webhook extends Model
{
    public const EXPIRING = 'deferral.expiring';

    public const DUE = 'due.soon';

    /** Each with how it is said. */
    public const EVENTS = [
        self::DUE => 'due soon, and in no visit',
        self::EXPIRING => 'a deferral runs out',
        'deferral.extension_asked' => 'an extension is asked for',
        'finding.raised' => 'a finding is raised',
        'aircraft.released' => 'an aircraft is released',
    ];

    protected $casts = [
        'secret' => 'encrypted', 'events' => 'array', 'made_at' => AsInstant::class, 'revoked_at' => AsInstant::class,
    ];

    /** @return BelongsTo<Person, $this> who made it */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return string scheme and host: the rest of an address may be a secret of its own */
    public function host(): string
    {
        $port = parse_url($this->address, PHP_URL_PORT);

        return parse_url($this->address, PHP_URL_SCHEME).'://'.parse_url($this->address, PHP_URL_HOST)
            .(is_int($port) ? ":{$port}" : '').'/…';
    }
}
