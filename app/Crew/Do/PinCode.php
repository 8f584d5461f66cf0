<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Jorvel\Core\Crew\NotSecond;

/**
 * The code with which somebody chooses their first PIN, or a new one after theirs was lost.
 *
 * Whoever gave the password cannot make it, and whoever makes it has a PIN of their own and does not know the password:
 * so nobody alone can sign as somebody else.
 */
final readonly class PinCode
{
    public function __construct(private Clock $clock, private Records $records, private Notices $notices) {}

    /**
     * @return string eight digits, told once and kept only as its hash
     *
     * @throws Refused when it would leave everything in one hand
     */
    public function make(Person $by, Person $for, string $stamp, string $pin): string
    {
        $why = match ($for->notSecond($by, $this->clock->today())) {
            NotSecond::Oneself => 'The code for your own PIN comes from somebody else.',
            NotSecond::First => "You gave {$for->name} the password; the code for the PIN comes from somebody else, "
                .'another controller or whoever certifies.',
            NotSecond::Gone => "{$for->name} has left.",
            default => $for->own_pin ? "{$for->name} has a PIN already. A lost one begins with a new password." : null,
        };
        if ($why !== null) {
            throw Refused::because("{$why} No code was made.");
        }
        $by->requireSignature($stamp, $pin);
        $code = sprintf('%08d', random_int(0, 99_999_999));
        $hash = Hash::make($code);
        DB::transaction(function () use ($by, $for, $hash): void {
            $for->fill([
                'pin_code' => $hash,
                'pin_code_by' => $by->id,
                'pin_code_at' => (string) $this->clock->now(),
            ])
                ->save();
            $this->records->write($by, 'person.pin_code_made', "person:{$for->id}");
            $this->notices->tell(
                $for->id,
                "{$by->name} made the code with which you choose your PIN. Have it told to you in person.",
            );
        });

        return $code;
    }

    /** @throws Refused unless it is the one that was made, not too long ago */
    public function require(Person $for, ?string $code): void
    {
        $hours = (int) config('jorvel.pin_code_hours');
        $made = $for->pin_code_at === null ? null : $for->pin_code_at;
        $why = match (true) {
            $code === null || $code === ''
                => 'Your PIN was given or lost, so choosing one takes a code from a second person: a controller who '
                    .'did not give you the password, or whoever certifies. Have it made in the Crew room.',
            $for->pin_code === null || $made === null
                => 'There is no code for you. Ask a second controller, or whoever certifies, to make one in the '
                    .'Crew room.',
            $this->clock->now()->epoch() - $made->epoch() > $hours * 3600
                => "That code is older than {$hours} hours. Have a new one made.",
            ! Hash::check($code, $for->pin_code) => 'The code is wrong. Look at it once more, or have a new one made.',
            default => null,
        };
        if ($why !== null) {
            throw Refused::because("{$why} Nothing was changed.");
        }
    }
}
