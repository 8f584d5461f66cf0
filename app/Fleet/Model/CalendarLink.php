<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Clock;
use App\Shared\Model;
use App\Shared\Records;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * An address under which somebody's calendar program reads visits, due dates and deferral expiries, until it is
 * revoked. Only a hash of its token is kept.
 *
 * @property int $id
 * @property int $person_id
 * @property string $name
 * @property string $token SHA-256 of it
 * @property Instant $made_at
 * @property Instant|null $read_at
 * @property Instant|null $revoked_at
 * @property-read Person $person
 */
final class CalendarLink extends Model
{
    protected $casts = [
        'made_at' => AsInstant::class,
        'read_at' => AsInstant::class,
        'revoked_at' => AsInstant::class,
    ];

    /** @return array{self, string} the link, and its token, which nobody can read again */
    public static function make(Person $by, string $name, Clock $clock, Records $records): array
    {
        return DB::transaction(static function () use ($by, $name, $clock, $records): array {
            $token = bin2hex(random_bytes(20));
            $link = self::create([
                'person_id' => $by->id,
                'name' => $name,
                'token' => hash('sha256', $token),
                'made_at' => (string) $clock->now(),
            ]);
            $records->write($by, 'calendar.made', "calendar:{$link->id}", ['name' => $name]);

            return [$link, $token];
        });
    }

    /** @return BelongsTo<Person, $this> whose it is */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** The link of a token, if it stands: it ends with its revoking, and with its holder's leave to make one. */
    public static function standing(string $token, Day $today): ?self
    {
        $link = self::with('person')->where('token', hash('sha256', $token))->whereNull('revoked_at')->first();

        return $link?->held($today) === true ? $link : null;
    }

    /** Whether whoever made it is still here, and may still make one. */
    public function held(Day $today): bool
    {
        return ! $this->person->goneOn($today) && $this->person->can('edit', Fleet::class);
    }

    public function revoke(Person $by, Clock $clock, Records $records): void
    {
        DB::transaction(function () use ($by, $clock, $records): void {
            if ($this->refresh()->revoked_at === null) {
                $this->update(['revoked_at' => (string) $clock->now()]);
                $records->write($by, 'calendar.revoked', "calendar:{$this->id}", ['name' => $this->name]);
            }
        });
    }
}
