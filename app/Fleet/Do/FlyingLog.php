<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\Sector;
use App\Now\CommitUnmoved;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** The flying log: days are added, and corrected by new entries that carry through everything counted since. */
final readonly class FlyingLog
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private FlyingQuestions $questions,
        private CommitUnmoved $commit,
    ) {}

    /**
     * Adds a checked day and counts it; call it inside a transaction, and save the aircraft after.
     *
     * @param array<string, float> $flown
     */
    public function add(Aircraft $craft, Day $date, array $flown, Person $by, string $source): void
    {
        FlyingEntry::create([
            'aircraft_id' => $craft->id,
            'date' => (string) $date,
            'flown' => $flown,
            'person_id' => $by->id,
            'source' => $source,
            'at' => (string) $this->clock->now(),
        ]);
        self::count($craft, $date, $flown);
    }

    /**
     * What a day's flying makes of an aircraft's counters; nothing is saved.
     *
     * @param array<string, float> $flown
     */
    public static function count(Aircraft $craft, Day $date, array $flown): void
    {
        $counters = $craft->counters;
        foreach ($flown as $counter => $amount) {
            $counters[$counter] = round($counters[$counter] + $amount, 3);
        }
        $craft->counters = $counters;
        $craft->counters_as_of = $date;
    }

    /**
     * A day entered by hand, or a further page of one: a day that was passed over and a page that comes later are
     * carried through everything that was counted since.
     *
     * @param array<string, string> $cells as typed, by counter or counter reading
     * @param bool $sure whoever enters it has seen what is asked about it
     *
     * @throws Refused when it cannot be so; or asks, when it may not be meant
     */
    public function enter(Person $by, string $mark, string $date, array $cells, bool $sure = false): Aircraft
    {
        return ($this->commit)(function () use ($by, $mark, $date, $cells, $sure): Closure {
            $craft = Aircraft::with(LoadFlying::with())->where('mark', $mark)->firstOrFail();
            $known = $craft->counters_as_of;
            try {
                $day = Day::parse($date);
                $before = self::entered($craft, $day);
                $late = $day->number <= $known->number && ($before !== [] || self::logReaches($craft, $day));
                $flown = $late
                    ? FlyingCheck::amounts($craft, $cells, $craft->counters, 0)
                    : FlyingCheck::day($craft, $day, $cells, $craft->counters, $known, $this->clock->today());
                FlyingCheck::requireFits($flown, $before);
            } catch (InputError $e) {
                throw self::refused($e);
            }
            $questions = $this->questions->of($craft, $day, $flown, $known, $before);
            if ($questions !== [] && ! $sure) {
                throw Refused::ask('Is this meant? Nothing was counted yet.', $questions);
            }
            $why = $before === [] ? 'entered late' : 'a further page';

            return fn(): Aircraft => $late
                ? $this->enterLate($by, $craft, $day, $flown, $why, $questions)
                : $this->enterNext($by, $craft, $day, $flown, $questions);
        });
    }

    /**
     * @param array<string, float> $flown
     * @param list<string> $asked
     */
    private function enterNext(Person $by, Aircraft $craft, Day $day, array $flown, array $asked): Aircraft
    {
        $this->add($craft, $day, $flown, $by, 'hand');
        $craft->save();
        $this->records->write(
            $by,
            'flying.entered',
            "aircraft:{$craft->mark}",
            ['date' => (string) $day, 'flown' => $flown, 'asked' => $asked],
        );

        return $craft;
    }

    /** @return array<string, float> what stands for a day, over all its pages; empty where it has none */
    private static function entered(Aircraft $craft, Day $day): array
    {
        $sum = [];
        foreach (FlyingEntry::where([
            'aircraft_id' => $craft->id,
            'date' => (string) $day,
            'current' => true,
        ])->get() as $page) {
            foreach ($page->flown as $counter => $amount) {
                $sum[$counter] = round(($sum[$counter] ?? 0.0) + $amount, 3);
            }
        }

        return $sum;
    }

    private static function logReaches(Aircraft $craft, Day $day): bool
    {
        return FlyingEntry::where('aircraft_id', $craft->id)->where('date', '<', (string) $day)->exists();
    }

    /**
     * @param array<string, float> $flown
     * @param list<string> $asked
     */
    private function enterLate(
        Person $by,
        Aircraft $craft,
        Day $day,
        array $flown,
        string $reason,
        array $asked,
    ): Aircraft {
        FlyingEntry::create([
            'aircraft_id' => $craft->id,
            'date' => (string) $day,
            'flown' => $flown,
            'person_id' => $by->id,
            'source' => 'hand',
            'reason' => $reason,
            'at' => (string) $this->clock->now(),
        ]);
        $this->carry($craft, (string) $day, $flown);
        $this->records->write(
            $by,
            'flying.entered',
            "aircraft:{$craft->mark}",
            ['date' => (string) $day, 'flown' => $flown, 'late' => true, 'asked' => $asked],
        );

        return $craft->refresh();
    }

    /**
     * Corrects a day: the old entry stays to be seen, and whatever was counted on or after that day moves by the
     * difference: the aircraft, what was fitted to it, when its items were done, and where its deferrals started.
     * What had been planned stays as it was planned.
     *
     * @param array<string, string> $cells what was really flown, as typed
     *
     * @throws Refused
     */
    public function correct(Person $by, int $entryId, array $cells, string $reason): FlyingEntry
    {
        return ($this->commit)(function () use ($by, $entryId, $cells, $reason): Closure {
            $old = FlyingEntry::with('aircraft')->findOrFail($entryId);
            $craft = $old->aircraft;
            if (! $old->current) {
                throw Refused::stale(
                    "{$craft->mark}'s entry of {$old->date} was already corrected. Reload to see it; nothing was "
                        .'changed.',
                    null,
                );
            }
            try {
                $flown = FlyingCheck::amounts($craft, $cells, $craft->counters);
                FlyingCheck::requireFits(
                    $flown,
                    self::minus(self::entered($craft, $old->date), $old->flown),
                );
            } catch (InputError $e) {
                throw self::refused($e);
            }
            $difference = [];
            foreach ($craft->counters as $counter => $_) {
                $difference[$counter] = ($flown[$counter] ?? 0.0) - (float) ($old->flown[$counter] ?? 0.0);
            }
            if (array_filter($difference, static fn(float $d): bool => abs($d) > 1e-9) === []) {
                throw Refused::because('That is what stands there already. Nothing was changed.');
            }

            return fn(): FlyingEntry => $this->replace($by, $old, $flown, $difference, $reason);
        });
    }

    /**
     * @param array<string, float> $flown
     * @param array<string, float> $difference by counter
     */
    private function replace(
        Person $by,
        FlyingEntry $old,
        array $flown,
        array $difference,
        string $reason,
    ): FlyingEntry {
        $craft = $old->aircraft;
        $old->update(['current' => false]);
        $new = FlyingEntry::create([
            'aircraft_id' => $craft->id,
            'date' => $old->date,
            'flown' => $flown,
            'corrects_id' => $old->id,
            'person_id' => $by->id,
            'source' => 'hand',
            'reason' => $reason,
            'at' => (string) $this->clock->now(),
        ]);
        $this->carry($craft, (string) $old->date, $difference);
        $this->records->write(
            $by,
            'flying.corrected',
            "aircraft:{$craft->mark}",
            ['date' => $old->date, 'was' => $old->flown, 'is' => $flown, 'reason' => $reason],
        );

        return $new;
    }

    /** Takes a planned flight out of the plan; the record keeps that it was there. */
    public function cancel(Person $by, int $sectorId): Aircraft
    {
        return DB::transaction(function () use ($by, $sectorId): Aircraft {
            $sector = Sector::findOrFail($sectorId);
            $craft = Aircraft::findOrFail($sector->aircraft_id);
            $sector->delete();
            $this->records->write(
                $by,
                'plan.sector_cancelled',
                "aircraft:{$craft->mark}",
                [
                    'date' => $sector->date, 'number' => $sector->number, 'use' => $sector->use, 'id' => $sectorId,
                    'row' => $sector->getRawOriginal(),
                ],
            );

            return $craft;
        });
    }

    /**
     * Puts a flight back that was cancelled, as it was.
     *
     * @throws Refused where it was not cancelled, is there again, or its day is past
     */
    public function restore(Person $by, int $sectorId): Aircraft
    {
        return DB::transaction(function () use ($by, $sectorId): Aircraft {
            $record = DB::table('records')->where('what', 'plan.sector_cancelled')
                ->whereRaw("json_extract(data, '$.id') = ?", [$sectorId])->orderByDesc('id')->first();
            $row = $record === null ? null : (json_decode($record->data, true)['row'] ?? null);
            if ($row === null || Sector::whereKey($sectorId)->exists()) {
                throw Refused::because('That flight was not cancelled, or is there again. Nothing was changed.');
            }
            $there = Sector::where(['aircraft_id' => $row['aircraft_id'], 'number' => $row['number']])
                ->whereDate('date', $row['date'])->exists();
            if ($there || Day::parse(substr($row['date'], 0, 10))->number < $this->clock->today()->number) {
                throw Refused::because("Flight {$row['number']} of {$row['date']} is planned anew by now, or its day "
                    .'is past. Nothing was changed.');
            }
            DB::table('sectors')->insert($row);
            $craft = Aircraft::findOrFail($row['aircraft_id']);
            $this->records->write($by, 'plan.sector_restored', "aircraft:{$craft->mark}", [
                'date' => $row['date'], 'number' => $row['number'],
            ]);

            return $craft;
        });
    }

    /** @param array<string, float> $by the difference, by counter */
    private function carry(Aircraft $craft, string $date, array $by): void
    {
        $craft->update(['counters' => self::plus($craft->counters, $by)]);
        self::shift(
            DB::table('item_statuses')
                ->where('aircraft_id', $craft->id)
                ->whereNull('component_id')
                ->where('counted_to', '>=', $date),
            'counters',
            $by,
        );
        self::shift(
            DB::table('deferrals')->where('aircraft_id', $craft->id)->where('counted_to', '>=', $date),
            'at_discovery',
            $by,
        );
        foreach (ComponentTenure::with('component')->where('aircraft_id', $craft->id)->where(
            static fn($q) => $q->whereNull('to_counted')->orWhere('to_counted', '>=', $date),
        )->get() as $tenure) {
            if ($tenure->from_counted >= $date) {
                $tenure->aircraft = self::plus($tenure->aircraft, $by);
            } else {
                $this->carryComponent($tenure, $date, $by);
            }
            if ($tenure->aircraft_end !== null) {
                $tenure->aircraft_end = self::plus($tenure->aircraft_end, $by);
            }
            $tenure->save();
        }
    }

    /**
     * The corrected day lies in this tenure: the component itself has flown more or less since.
     *
     * @param array<string, float> $by
     */
    private function carryComponent(ComponentTenure $tenure, string $date, array $by): void
    {
        $component = $tenure->component;
        $own = $tenure->tenure()->share($by);
        self::shift(
            DB::table('item_statuses')->where('component_id', $component->id)->where('counted_to', '>=', $date),
            'counters',
            $own,
        );
        foreach (['own', 'own_end'] as $column) {
            self::shift(
                DB::table('tenures')
                    ->where('component_id', $component->id)
                    ->where('id', '>', $tenure->id)
                    ->whereNotNull($column),
                $column,
                $own,
            );
        }
        if ($tenure->own_end !== null) {
            $tenure->own_end = self::plus($tenure->own_end, $own);
            $component->update(['counters' => self::plus($component->counters, $own)]);
        }
    }

    /**
     * Moves kept counters by the difference, all rows at once; a counter that a row does not hold stays away.
     *
     * @param array<string, float> $by
     */
    private static function shift(Builder $rows, string $column, array $by): void
    {
        $parts = [];
        foreach ($by as $counter => $difference) {
            $path = "'$.\"".str_replace(['"', "'"], '', $counter)."\"'";
            $parts[] = $path.', round(json_extract('.$column.", {$path}) + "
                .json_encode($difference, JSON_THROW_ON_ERROR).', 6)';
        }
        if ($parts !== []) {
            $rows->update([$column => DB::raw("json_replace({$column}, ".implode(', ', $parts).')')]);
        }
    }

    /**
     * @param array<string, float> $counters
     * @param array<string, float> $by
     *
     * @return array<string, float>
     */
    private static function plus(array $counters, array $by): array
    {
        foreach ($counters as $counter => $value) {
            $counters[$counter] = round($value + ($by[$counter] ?? 0.0), 6);
        }

        return $counters;
    }

    /**
     * @param array<string, float> $whole
     * @param array<string, float> $part
     *
     * @return array<string, float>
     */
    private static function minus(array $whole, array $part): array
    {
        foreach ($whole as $counter => $value) {
            $whole[$counter] = max(0.0, round($value - ($part[$counter] ?? 0.0), 3));
        }

        return $whole;
    }

    private static function refused(InputError $e): Refused
    {
        return Refused::lines(
            'Not saved. Correct what is marked.',
            [['line' => $e->path === '' ? 'date' : $e->path, 'message' => $e->getMessage()]],
        );
    }
}
