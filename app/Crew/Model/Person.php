<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Crew\WrongSignature;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Clock;
use App\Shared\QuickColumns;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Facades\Hash;
use Jorvel\Core\Crew\NotSecond;
use Jorvel\Core\Crew\OnRota;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Laravel\Sanctum\HasApiTokens;

/**
 * Someone who signs in: a technician, an inspector, a controller.
 *
 * @property int $id
 * @property string $login
 * @property string $name
 * @property string $stamp
 * @property Role $role
 * @property string $base
 * @property string $shift
 * @property string $pin
 * @property string $password
 * @property bool $trainee works only under a supervisor
 * @property int|null $supervisor_id
 * @property list<int> $weekdays ISO, on which the shift is worked
 * @property int $version
 * @property Day|null $leaves the last day on which they are with the organisation
 * @property bool $own_pin false while it is the one that somebody else gave them
 * @property bool $own_password likewise
 * @property int|null $secrets_by who gave the password and PIN that stand
 * @property string|null $pin_code hash of a second person's code, while a PIN is to be chosen
 * @property int|null $pin_code_by who made it
 * @property Instant|null $pin_code_at
 * @property int $pin_tries wrong PINs in a row
 * @property Instant|null $pin_locked_until
 * @property-read Collection<int, Qualification> $qualifications
 * @property-read Collection<int, WaitingAuthority> $waitingAuthorities
 * @property-read Collection<int, RotaDay> $rotaDays days that differ from the usual week
 */
final class Person extends User
{
    use HasApiTokens;
    use QuickColumns;

    public $timestamps = false;

    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'pin', 'pin_code', 'remember_token'];

    protected $casts = [
        'pin_code_at' => AsInstant::class,
        'pin_locked_until' => AsInstant::class,
        'leaves' => AsDay::class,
        'role' => Role::class,
        'password' => 'hashed',
        'pin' => 'hashed',
        'weekdays' => 'array',
        'trainee' => 'boolean',
        'own_pin' => 'boolean',
        'own_password' => 'boolean',
    ];

    /** @return HasMany<Qualification, $this> */
    public function qualifications(): HasMany
    {
        return $this->hasMany(Qualification::class);
    }

    /** @return HasMany<WaitingAuthority, $this> entered, and not held before a second person has confirmed it */
    public function waitingAuthorities(): HasMany
    {
        return $this->hasMany(WaitingAuthority::class)->orderBy('value');
    }

    /** @return HasMany<RotaDay, $this> */
    public function rotaDays(): HasMany
    {
        return $this->hasMany(RotaDay::class)->orderBy('date');
    }

    /** The shift they work on a day; null when they are not there. Load `rotaDays` first. */
    public function shiftOn(Day $day): ?string
    {
        return $this->onRota(new Qualified([]))->shiftOn($day);
    }

    /**
     * As the rota sees them; load `rotaDays` first.
     *
     * @param list<string> $skills
     */
    public function onRota(Qualified $holds, array $skills = []): OnRota
    {
        return new OnRota(
            $this->shift,
            $this->weekdays,
            $skills,
            $holds,
            $this->rotaDays->mapWithKeys(static fn(RotaDay $d): array => [(string) $d->date => $d->shift])->all(),
            $this->leaves === null ? null : $this->leaves,
        );
    }

    /** Whether they have left before a day. */
    public function goneOn(Day $day): bool
    {
        return $this->leaves !== null && $this->leaves->number < $day->number;
    }

    /** @return Builder<self> who is still with the organisation on a day */
    public static function thereOn(Day $day): Builder
    {
        return self::query()->where(
            static fn(Builder $q): Builder => $q->whereNull('leaves')->orWhere('leaves', '>=', (string) $day),
        );
    }

    public function holds(Role ...$roles): bool
    {
        return in_array($this->role, $roles, true);
    }

    /**
     * A signature: the person's own stamp and PIN, entered again.
     *
     * @throws WrongSignature when either is wrong
     * @throws Refused while the PIN is locked, or is not one's own
     */
    public function requireSignature(string $stamp, string $pin): void
    {
        $clock = app(Clock::class);
        $locked = $this->pin_locked_until === null ? null : $this->pin_locked_until;
        if ($locked !== null && $clock->now()->epoch() < $locked->epoch()) {
            throw Refused::because(
                "Your PIN is locked until {$clock->time($locked)}, after too many wrong ones in a row. Nothing was "
                    .'signed; what you entered is still on this screen.',
            );
        }
        if (! hash_equals($this->stamp, trim($stamp)) || ! Hash::check($pin, $this->pin)) {
            throw new WrongSignature($this->id);
        }
        if ($this->pin_tries > 0) {
            self::whereKey($this->id)->update(['pin_tries' => 0]);
        }
        if (! $this->own_pin) {
            throw Refused::because(
                'This PIN was given to you by somebody else. Choose one that only you know, under your name above; '
                    .'nothing was signed.',
            );
        }
    }

    /** Why somebody may not vouch for this person's PIN; null where they may. */
    public function notSecond(self $by, Day $today): ?NotSecond
    {
        return NotSecond::of($by->id, $this->id, $this->secrets_by, $this->goneOn($today));
    }

    /** @throws Refused for whoever saw an older one */
    public function requireVersion(int $seen): void
    {
        if ($this->version !== $seen) {
            throw Refused::stale(
                "Somebody else changed what is kept about {$this->name} while you had it open. What you entered is "
                    .'still in its fields; read what stands now, then send it again.',
                $this->version,
            );
        }
    }

    /** What they hold, as the rules judge it; load `qualifications` first. */
    public function qualified(): Qualified
    {
        $held = [];
        foreach ($this->qualifications as $q) {
            $held["{$q->kind}:{$q->value}"] = $q->valid_until === null ? null : $q->valid_until;
        }

        return new Qualified($held);
    }
}
