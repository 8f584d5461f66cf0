<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\WaitingAuthority;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\NotSecond;
use Jorvel\Core\Shared\Day;

/** The authority to inspect or to certify: one person enters it, a second one looks at the paper and signs for it. */
final readonly class ConfirmAuthority
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private SecondPersons $seconds,
        private WriteQualification $qualifications,
    ) {}

    /** Within a transaction. */
    public function wait(Person $by, Person $person, string $value, ?Day $until, string $paper): void
    {
        $waiting = [
            'valid_until' => $until === null ? null : (string) $until, 'paper' => $paper, 'entered_by' => $by->id,
            'entered_at' => (string) $this->clock->now(),
        ];
        WaitingAuthority::upsert(
            [['person_id' => $person->id, 'value' => $value, ...$waiting]],
            ['person_id', 'value'],
            array_keys($waiting),
        );
        $this->records->write($by, 'person.authority_entered', "person:{$person->id}", [
            'kind' => 'authority', 'value' => $value, 'until' => $waiting['valid_until'], 'paper' => $paper,
        ]);
        $what = Words::qualification('authority', $value);
        $this->seconds->tell($by, $person, "{$by->name} entered {$what} for {$person->name}. It waits for you or "
            .'another second person to look at the paper and confirm it.');
    }

    /**
     * @throws Refused when nothing waits, its day is past, or it would leave everything in one hand
     */
    public function confirm(Person $by, Person $person, string $value, string $stamp, string $pin): void
    {
        $waits = WaitingAuthority::with('person')->firstWhere(['person_id' => $person->id, 'value' => $value]);
        $what = Words::qualification('authority', $value);
        $why = $waits === null
            ? "Nothing waits for a second person here: {$what} was confirmed or taken back meanwhile."
            : match ($waits->notSecond($by, $this->clock->today())) {
                NotSecond::Oneself => 'What you hold yourself is confirmed by somebody else.',
                NotSecond::First => "You entered {$what} for {$person->name}; it is confirmed by somebody else, "
                    .'another controller or whoever certifies.',
                NotSecond::Gone => "{$person->name} has left.",
                NotSecond::Trainee => "{$person->name} is a trainee and inspects and certifies nothing.",
                NotSecond::Past => "Its last day, {$waits->valid_until}, is past. Have it entered anew.",
                null => null,
            };
        if ($waits === null || $why !== null) {
            throw Refused::because("{$why} Nothing was changed.");
        }
        $by->requireSignature($stamp, $pin);
        DB::transaction(function () use ($by, $person, $value, $waits, $what): void {
            $gone = WaitingAuthority::where($waits->only('person_id', 'value', 'entered_by', 'entered_at'))->delete();
            if ($gone === 0) {
                throw Refused::because("{$what} was entered anew meanwhile. Read it again; nothing was changed.");
            }
            $person->refresh();
            $person->update(['version' => $person->version + 1]);
            $entered = Person::findOrFail($waits->entered_by);
            $this->qualifications->write(
                $by,
                $person,
                'authority',
                $value,
                until: $waits->valid_until === null ? null : (string) $waits->valid_until,
                paper: $waits->paper,
                more: ['entered_by' => "{$entered->name} ({$entered->stamp})"],
            );
            $this->notices->tell(
                $person->id,
                "You now hold {$what}: entered by {$entered->name}, confirmed by {$by->name}.",
                "/crew/people/{$person->id}",
            );
        });
    }
}
