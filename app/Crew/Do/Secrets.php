<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/**
 * Passwords and PINs: given anew by the controller, then chosen by their holder; a PIN that somebody else knows signs
 * nothing.
 */
final readonly class Secrets
{
    public function __construct(
        private Records $records,
        private Notices $notices,
        private PinCode $codes,
        private SecondPersons $seconds,
    ) {}

    /**
     * Gives somebody a new password and PIN; whatever they were signed in with ends, and a second person makes the code
     * for their own PIN.
     *
     * @throws Refused for one's own, or a password that is soon guessed
     */
    public function give(Person $by, Person $person, string $password, string $pin): void
    {
        if ($by->id === $person->id) {
            throw Refused::because('Choose your own under your name above. Nothing was changed.');
        }
        self::refuse(PlainSecret::password($password, $person->login));
        DB::transaction(function () use ($by, $person, $password, $pin): void {
            $person->fill([
                'password' => $password, 'pin' => $pin, 'own_password' => false, 'own_pin' => false,
                'remember_token' => null, 'secrets_by' => $by->id,
                'pin_code' => null, 'pin_code_by' => null, 'pin_code_at' => null, 'pin_tries' => 0,
            ])->save();
            DB::table('sessions')->where('user_id', $person->id)->delete();
            $person->tokens()->delete();
            $this->records->write($by, 'person.secrets_given', "person:{$person->id}");
            $this->notices->tell(
                $person->id,
                "{$by->name} gave you a new password. If you did not ask for it, tell whoever certifies.",
            );
            // Who can make the code learns of it, so that nothing is taken over unseen.
            $this->seconds->tell($by, $person, "{$by->name} gave {$person->name} a new password. {$person->name} "
                .'needs a code from a second person to choose a PIN.');
        });
    }

    /**
     * Somebody chooses their own.
     *
     * @param string|null $code of a second person, where the PIN of today is not their own
     *
     * @throws Refused when the password of today or the code is wrong, or what is chosen is soon guessed
     */
    public function choose(Person $me, string $now, ?string $password, ?string $pin, ?string $code = null): void
    {
        if (! Hash::check($now, $me->password)) {
            throw Refused::because('The password you have today is wrong. Nothing was changed.');
        }
        self::refuse($password === null ? null : PlainSecret::password($password, $me->login));
        self::refuse($pin === null ? null : PlainSecret::pin($pin));
        if ($pin !== null && ! $me->own_pin && Hash::check($pin, $me->pin)) {
            throw Refused::because('That is the PIN you were given. Take another one; nothing was changed.');
        }
        if ($pin !== null && ! $me->own_pin) {
            $this->codes->require($me, $code);
            self::refuse(
                $password === null && ! $me->own_password
                    ? 'Whoever gave you the password still knows it: choose a new one together with the PIN.'
                    : null,
            );
        }
        DB::transaction(function () use ($me, $password, $pin): void {
            $me->fill([
                ...($password === null ? [] : ['password' => $password, 'own_password' => true]),
                ...($pin === null ? [] : [
                    'pin' => $pin,
                    'own_pin' => true,
                    'pin_code' => null,
                    'pin_tries' => 0,
                    'pin_locked_until' => null,
                ]),
            ])->save();
            $this->records->write(
                $me,
                'person.secrets_chosen',
                "person:{$me->id}",
                ['password' => $password !== null, 'pin' => $pin !== null],
            );
        });
    }

    private static function refuse(?string $why): void
    {
        if ($why !== null) {
            throw Refused::because("{$why} Nothing was changed.");
        }
    }
}
