<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\RotaDay;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Enters leave, sickness or another shift for some days, or takes that back. */
final readonly class SetDays
{
    private const MOST = 92;

    public function __construct(private Clock $clock, private Records $records, private RestRules $rest) {}

    /**
     * @param string|null $shift worked instead; null for leave and the like
     *
     * @throws Refused for days gone by, too many at once, or a shift that breaks the rules of rest
     */
    public function set(Person $by, Person $person, Day $from, Day $until, ?string $shift, string $why): void
    {
        $days = $this->days($from, $until);
        $person->loadMissing('rotaDays');
        if ($shift !== null) {
            $instead = array_fill_keys(array_map(strval(...), $days), $shift);
            // What breaks the rules already is not this change's doing.
            $broken = array_values(array_diff(
                $this->rest->broken($person, $from, $until, $instead),
                $this->rest->broken($person, $from, $until),
            ));
            if ($broken !== []) {
                throw Refused::because("{$person->name} would have {$broken[0]}. Nothing was changed.");
            }
        }
        DB::transaction(function () use ($by, $person, $days, $shift, $why): void {
            foreach ($days as $day) {
                RotaDay::updateOrCreate(
                    ['person_id' => $person->id, 'date' => (string) $day],
                    ['shift' => $shift, 'why' => $why, 'set_by' => $by->id],
                );
            }
            $this->records->write(
                $by,
                'person.days_set',
                "person:{$person->id}",
                ['from' => (string) $days[0], 'until' => (string) end($days), 'shift' => $shift, 'why' => $why],
            );
        });
    }

    /** The usual week again. */
    public function clear(Person $by, Person $person, Day $from, Day $until): void
    {
        $this->days($from, $until);
        DB::transaction(function () use ($by, $person, $from, $until): void {
            $gone = RotaDay::where('person_id', $person->id)->whereBetween('date', [(string) $from, (string) $until])
                ->delete();
            if ($gone === 0) {
                throw Refused::because("{$person->name} has nothing entered from {$from} to {$until}.");
            }
            $this->records->write(
                $by,
                'person.days_cleared',
                "person:{$person->id}",
                ['from' => (string) $from, 'until' => (string) $until],
            );
        });
    }

    /** @return non-empty-list<Day> */
    private function days(Day $from, Day $until): array
    {
        if ($until->number < $from->number) {
            throw Refused::because("{$until} lies before {$from}. Nothing was changed.");
        }
        if ($from->number < $this->clock->today()->number) {
            throw Refused::because(
                'Days gone by stand as they were worked. Begin today or later; nothing was changed.',
            );
        }
        if ($until->number - $from->number >= self::MOST) {
            throw Refused::because('At most '.self::MOST.' days at once. Nothing was changed.');
        }

        return array_map(static fn(int $n): Day => Day::fromNumber($n), range($from->number, $until->number));
    }
}
