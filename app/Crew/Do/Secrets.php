<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Passwords and PINs: given anew by the controller, then chosen by their holder; a PIN that somebody else knows signs nothing. */
final readonly class Secrets
{
    public function __construct(private Records $records) {}

    /** Gives somebody a new password and PIN; whatever they were signed in with ends. */
    public function give(Person $by, Person $person, string $password, string $pin): void
    {
        if ($by->id === $person->id) {
            throw Refused::because('Choose your own under your name above. Nothing was changed.');
        }
        DB::transaction(function () use ($by, $person, $password, $pin): void {
            $person->fill(['password' => $password, 'pin' => $pin, 'own_password' => false, 'own_pin' => false, 'remember_token' => null])->save();
            DB::table('sessions')->where('user_id', $person->id)->delete();
            $person->tokens()->delete();
            $this->records->write($by, 'person.secrets_given', "person:{$person->id}");
        });
    }

    /**
     * Somebody chooses their own.
     *
     * @throws Refused when the password of today is wrong, or the PIN is too plain
     */
    public function choose(Person $me, string $now, ?string $password, ?string $pin): void
    {
        if (! Hash::check($now, $me->password)) {
            throw Refused::because('The password you have today is wrong. Nothing was changed.');
        }
        if ($pin !== null && (preg_match('/^(\d)\1*$/', $pin) === 1 || str_contains('01234567890', $pin) || str_contains('09876543210', $pin))) {
            throw Refused::because('That PIN is soon guessed. Take digits that neither repeat nor count; nothing was changed.');
        }
        if ($pin !== null && ! $me->own_pin && Hash::check($pin, $me->pin)) {
            throw Refused::because('That is the PIN you were given. Take another one; nothing was changed.');
        }
        DB::transaction(function () use ($me, $password, $pin): void {
            $me->fill([...($password === null ? [] : ['password' => $password, 'own_password' => true]), ...($pin === null ? [] : ['pin' => $pin, 'own_pin' => true])])->save();
            $this->records->write($me, 'person.secrets_chosen', "person:{$me->id}", ['password' => $password !== null, 'pin' => $pin !== null]);
        });
    }
}
