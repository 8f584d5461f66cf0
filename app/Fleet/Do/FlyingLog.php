<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\Sector;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** The flying log: days are added, and corrected by new entries that carry through everything counted since. */
final readonly class FlyingLog
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * Adds a checked day and counts it; call it inside a transaction, and save the aircraft after.
     *
     * @param array<string, float> $flown
     */
    public function add(Aircraft $craft, Day $date, array $flown, Person $by, string $source): void
    {
        FlyingEntry::create(['aircraft_id' => $craft->id, 'date' => (string) $date, 'flown' => $flown, 'person_id' => $by->id, 'source' => $source, 'at' => (string) $this->clock->now()]);
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
        $craft->counters_as_of = (string) $date;
    }

    /**
     * One day entered by hand.
     *
     * @param array<string, string> $cells as typed, by counter or counter reading
     *
     * @throws Refused
     */
    public function enter(Person $by, string $mark, string $date, array $cells): Aircraft
    {
        return DB::transaction(function () use ($by, $mark, $date, $cells): Aircraft {
            $craft = Aircraft::where('mark', $mark)->firstOrFail();
            try {
                $day = Day::parse($date);
                if ($this->wasLeftOut($craft, $day)) {
                    return $this->enterLate($by, $craft, $day, FlyingCheck::amounts($craft, $cells, $craft->counters, 0));
                }
                $flown = FlyingCheck::day($craft, $day, $cells, $craft->counters, Day::parse($craft->counters_as_of), $this->clock->today());
            } catch (InputError $e) {
                throw self::refused($e);
            }
            $this->add($craft, $day, $flown, $by, 'hand');
            $craft->save();
            $this->records->write($by, 'flying.entered', "aircraft:{$mark}", ['date' => $date, 'flown' => $flown]);

            return $craft;
        });
    }

    /** A day within the log that was passed over: nothing stands for it. */
    private function wasLeftOut(Aircraft $craft, Day $day): bool
    {
        return (string) $day <= $craft->counters_as_of
            && FlyingEntry::where('aircraft_id', $craft->id)->where('date', '<', (string) $day)->exists()
            && FlyingEntry::where(['aircraft_id' => $craft->id, 'date' => (string) $day, 'current' => true])->doesntExist();
    }

    /** @param array<string, float> $flown */
    private function enterLate(Person $by, Aircraft $craft, Day $day, array $flown): Aircraft
    {
        FlyingEntry::create(['aircraft_id' => $craft->id, 'date' => (string) $day, 'flown' => $flown, 'person_id' => $by->id, 'source' => 'hand', 'reason' => 'entered late', 'at' => (string) $this->clock->now()]);
        $this->carry($craft, (string) $day, $flown);
        $this->records->write($by, 'flying.entered', "aircraft:{$craft->mark}", ['date' => (string) $day, 'flown' => $flown, 'late' => true]);

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
        return DB::transaction(function () use ($by, $entryId, $cells, $reason): FlyingEntry {
            $old = FlyingEntry::with('aircraft')->findOrFail($entryId);
            $craft = $old->aircraft;
            if (! $old->current) {
                throw Refused::stale("{$craft->mark}'s entry of {$old->date} was already corrected. Reload to see it; nothing was changed.", null);
            }
            try {
                $flown = FlyingCheck::amounts($craft, $cells, $craft->counters);
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
            $old->update(['current' => false]);
            $new = FlyingEntry::create(['aircraft_id' => $craft->id, 'date' => $old->date, 'flown' => $flown, 'corrects_id' => $old->id, 'person_id' => $by->id, 'source' => 'hand', 'reason' => $reason, 'at' => (string) $this->clock->now()]);
            $this->carry($craft, $old->date, $difference);
            $this->records->write($by, 'flying.corrected', "aircraft:{$craft->mark}", ['date' => $old->date, 'was' => $old->flown, 'is' => $flown, 'reason' => $reason]);

            return $new;
        });
    }

    /** Takes a planned flight out of the plan; the record keeps that it was there. */
    public function cancel(Person $by, int $sectorId): Aircraft
    {
        return DB::transaction(function () use ($by, $sectorId): Aircraft {
            $sector = Sector::findOrFail($sectorId);
            $craft = Aircraft::findOrFail($sector->aircraft_id);
            $sector->delete();
            $this->records->write($by, 'plan.sector_cancelled', "aircraft:{$craft->mark}", ['date' => $sector->date, 'number' => $sector->number, 'use' => $sector->use]);

            return $craft;
        });
    }

    /** @param array<string, float> $by the difference, by counter */
    private function carry(Aircraft $craft, string $date, array $by): void
    {
        $craft->update(['counters' => self::plus($craft->counters, $by)]);
        self::shift(DB::table('item_statuses')->where('aircraft_id', $craft->id)->whereNull('component_id')->where('counted_to', '>=', $date), 'counters', $by);
        self::shift(DB::table('deferrals')->where('aircraft_id', $craft->id)->where('counted_to', '>=', $date), 'at_discovery', $by);
        foreach (ComponentTenure::with('component')->where('aircraft_id', $craft->id)->where(static fn($q) => $q->whereNull('to_counted')->orWhere('to_counted', '>=', $date))->get() as $tenure) {
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
        self::shift(DB::table('item_statuses')->where('component_id', $component->id)->where('counted_to', '>=', $date), 'counters', $own);
        foreach (['own', 'own_end'] as $column) {
            self::shift(DB::table('tenures')->where('component_id', $component->id)->where('id', '>', $tenure->id)->whereNotNull($column), $column, $own);
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
            $parts[] = $path.', round(json_extract('.$column.", {$path}) + ".json_encode($difference, JSON_THROW_ON_ERROR).', 6)';
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

    private static function refused(InputError $e): Refused
    {
        return Refused::lines('That cannot be so. Nothing was saved.', [['line' => $e->path === '' ? 'date' : $e->path, 'message' => $e->getMessage()]]);
    }
}
