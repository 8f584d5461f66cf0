<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Shared\Records;

/** Writes what somebody holds from now on, and its record; within a transaction. */
final readonly class WriteQualification
{
    public function __construct(private Records $records) {}

    /**
     * @param string|null $until the last day on which it stands, YYYY-MM-DD
     * @param array<string, string> $more for the record
     */
    public function write(
        Person $by,
        Person $person,
        string $kind,
        string $value,
        ?string $until,
        string $paper,
        array $more = [],
    ): void {
        $what = ['person_id' => $person->id, 'kind' => $kind, 'value' => $value];
        $before = Qualification::firstWhere($what);
        $new = ['valid_until' => $until, 'paper' => $paper];
        $before === null ? Qualification::create([...$what, ...$new]) : Qualification::where($what)->update($new);
        $this->records->write(
            $by,
            $before === null ? 'person.granted' : 'person.renewed',
            "person:{$person->id}",
            [
                'kind' => $kind, 'value' => $value, 'until' => $until, 'paper' => $paper, ...$more,
                ...($before === null ? [] : ['was' => $before->valid_until]),
            ],
        );
    }
}
