<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Crew\Model\WaitingAuthority;
use App\Crew\Show\PersonChoices;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\Role as Does;
use Jorvel\Core\Shared\Day;

/**
 * Enters what somebody holds, renews it, or withdraws it; the paper it rests on stays with it. An authority to judge
 * others' work waits for a second person ({@see ConfirmAuthority}); what stood before it stands until then.
 */
final readonly class CommitQualification
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private PersonChoices $choices,
        private ConfirmAuthority $authorities,
        private WriteQualification $qualifications,
    ) {}

    /**
     * @param Day|null $until the last day on which it stands; null does not lapse
     *
     * @throws Refused for one's own, for what there is not, for a day gone by, or for a trainee who would inspect or
     *   certify
     */
    public function grant(
        Person $by,
        Person $person,
        int $version,
        string $kind,
        string $value,
        ?Day $until,
        string $paper,
    ): void {
        $this->requireMay($by, $person);
        if (! in_array($value, $this->choices->values($kind), true)) {
            throw Refused::because("There is no {$kind} \"{$value}\". Nothing was entered.");
        }
        if ($until !== null && $until->number < $this->clock->today()->number) {
            throw Refused::because(
                "{$until} is past. Enter the last day on which it stands, or withdraw it; nothing was entered.",
            );
        }
        if ($person->trainee && $kind === 'authority' && $value !== 'perform') {
            throw Refused::because(
                "{$person->name} is a trainee and inspects and certifies nothing. Nothing was entered.",
            );
        }
        DB::transaction(function () use ($by, $person, $version, $kind, $value, $until, $paper): void {
            $this->next($person, $version);
            $kind === 'authority' && Does::from($value)->judges()
                ? $this->authorities->wait($by, $person, $value, $until, $paper)
                : $this->qualifications->write(
                    $by,
                    $person,
                    $kind,
                    $value,
                    until: $until === null ? null : (string) $until,
                    paper: $paper,
                );
        });
    }

    /** @throws Refused for one's own, or what is not held */
    public function withdraw(Person $by, Person $person, int $version, string $kind, string $value, string $why): void
    {
        $this->requireMay($by, $person);
        DB::transaction(function () use ($by, $person, $version, $kind, $value, $why): void {
            $this->next($person, $version);
            $gone = Qualification::where(['person_id' => $person->id, 'kind' => $kind, 'value' => $value])->delete()
                + ($kind === 'authority'
                    ? WaitingAuthority::where(['person_id' => $person->id, 'value' => $value])->delete()
                    : 0);
            if ($gone === 0) {
                throw Refused::because(
                    "{$person->name} has no ".substr(Words::qualification($kind, $value), 4).'. Nothing was changed.',
                );
            }
            $this->records->write(
                $by,
                'person.withdrawn',
                "person:{$person->id}",
                ['kind' => $kind, 'value' => $value, 'why' => $why],
            );
        });
    }

    /** @throws Refused for one's own, or when nothing of it waits for a second person any more */
    public function takeBack(Person $by, Person $person, int $version, string $kind, string $value, string $why): void
    {
        $this->requireMay($by, $person);
        DB::transaction(function () use ($by, $person, $version, $kind, $value, $why): void {
            $this->next($person, $version);
            if (WaitingAuthority::where(['person_id' => $person->id, 'value' => $value])->delete() === 0) {
                throw Refused::because('Nothing of it waits for a second person any more. Nothing was changed.');
            }
            $this->records->write($by, 'person.authority_taken_back', "person:{$person->id}", [
                'kind' => $kind, 'value' => $value, 'why' => $why,
            ]);
        });
    }

    private function requireMay(Person $by, Person $person): void
    {
        if ($by->id === $person->id) {
            throw Refused::because(
                'Nobody enters what they hold themselves. Ask another controller; nothing was changed.',
            );
        }
    }

    private function next(Person $person, int $version): void
    {
        $person->refresh()->requireVersion($version);
        $person->update(['version' => $version + 1]);
    }
}
