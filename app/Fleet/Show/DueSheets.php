<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\DueSheet;
use App\Shared\Clock;
use App\Shared\Http\Failures;
use App\Shared\Http\Intention;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * Today's due sheets of the whole fleet: those that stand are read, those that are missing worked out and kept.
 *
 * A sheet is worked out and written in one transaction, which holds the write lock from its first moment; so nothing
 * can change between reading what it rests on and keeping it.
 */
final readonly class DueSheets
{
    private const TOGETHER = 250;

    public function __construct(
        private DueBook $book,
        private ShowReach $reach,
        private Clock $clock,
        private Intention $intention,
    ) {}

    /**
     * @param string $columns `head`, `rows`, or both
     *
     * @return Collection<int, DueSheet> by aircraft id
     */
    public function all(string ...$columns): Collection
    {
        do {
            $today = (string) $this->clock->today();
            try {
                foreach ($this->missing($today)->chunk(self::TOGETHER) as $ids) {
                    $this->workOut($ids->all(), $today);
                }
            } catch (PDOException $e) {
                return Failures::keptNothing($e) ? $this->unsaved($today, $columns) : throw $e;
            }
            $sheets = DueSheet::where('day', $today)->get(['aircraft_id', ...$columns])->keyBy('aircraft_id');
            // Somebody may have changed something between working out and reading; no aircraft goes missing for that.
        } while ($sheets->count() < DB::table('aircraft')->count());

        return $sheets;
    }

    /**
     * While nothing can be saved, another is writing or the disk is full, what is missing is worked out for this once.
     *
     * @param array<array-key, string> $columns
     *
     * @return Collection<int, DueSheet>
     */
    private function unsaved(string $today, array $columns): Collection
    {
        $sheets = DueSheet::where('day', $today)->get(['aircraft_id', ...$columns])->keyBy('aircraft_id');
        $aircraft = $this->book->query()->whereNotIn('aircraft.id', $sheets->keys())->get();

        return $sheets->union(DueSheet::hydrate($this->made($aircraft, $today))->keyBy('aircraft_id'));
    }

    /** @return Collection<int, int> aircraft whose sheet of the day does not stand */
    private function missing(string $today): Collection
    {
        return DB::table('aircraft')->leftJoin(
            'due_sheets',
            static fn($j) => $j->on('due_sheets.aircraft_id', '=', 'aircraft.id')->where('due_sheets.day', $today),
        )
            ->whereNull('due_sheets.aircraft_id')->orderBy('aircraft.id')->pluck('aircraft.id');
    }

    /** @param array<int, int> $ids */
    private function workOut(array $ids, string $today): void
    {
        $this->intention->aside(fn() => DB::transaction(function () use ($ids, $today): void {
            $sheets = $this->made($this->book->query()->whereIn('aircraft.id', $ids)->get(), $today);
            foreach (array_chunk($sheets, 50) as $some) {
                DB::table('due_sheets')->upsert($some, 'aircraft_id');
            }
            $this->firstToRunOut($sheets);
        }));
    }

    /** Makes sure that the sheets of today stand, and with them the last day of everything that is carried. */
    public function ensure(): void
    {
        $today = (string) $this->clock->today();
        try {
            foreach ($this->missing($today)->chunk(self::TOGETHER) as $ids) {
                $this->workOut($ids->all(), $today);
            }
        } catch (PDOException $e) {
            // While nothing can be saved, what stood last serves.
            Failures::keptNothing($e) || throw $e;
        }
    }

    /** @param list<array{aircraft_id: int, day: string, head: string, rows: string}> $sheets */
    private function firstToRunOut(array $sheets): void
    {
        $lasts = [];
        foreach ($sheets as $sheet) {
            foreach (json_decode($sheet['rows'], true, 8, JSON_THROW_ON_ERROR) as [$item, $on, $last]) {
                if ($item === null && $on < 0) {
                    $lasts[] = [
                        'deferral_id' => -$on, 'aircraft_id' => $sheet['aircraft_id'], 'last' => $last ?? PHP_INT_MAX,
                    ];
                }
            }
        }
        DB::table('deferral_lasts')->whereIn('aircraft_id', array_column($sheets, 'aircraft_id'))->delete();
        foreach (array_chunk($lasts, 300) as $some) {
            DB::table('deferral_lasts')->insert($some);
        }
    }

    /**
     * @param EloquentCollection<int, Aircraft> $aircraft
     *
     * @return list<array{aircraft_id: int, day: string, head: string, rows: string}>
     */
    private function made(EloquentCollection $aircraft, string $today): array
    {
        // Tens of thousands of small values without a cycle among them: the collector would only look at them again
        // and again.
        gc_disable();
        try {
            $this->book->read($aircraft);
            $sheets = [];
            foreach ($aircraft as $one) {
                $sheets[] = ['aircraft_id' => $one->id, 'day' => $today, ...$this->sheet($one)];
            }

            return $sheets;
        } finally {
            gc_enable();
        }
    }

    /** @return array{head: string, rows: string} */
    private function sheet(Aircraft $aircraft): array
    {
        $rows = $order = [];
        $page = $this->book->page($aircraft);
        foreach ($page->rows as $row) {
            $due = $row->due;
            $order[] = $due->forecast->number ?? PHP_INT_MAX;
            $rows[] = [
                $row->of->id,
                $row->on?->component_id,
                $due->forecast?->number,
                $due->latest?->number,
                $row->state->value,
                $due->driver?->unit,
                $due->driver?->remaining,
            ];
        }
        foreach ($page->bottles() as [$tenure, $bottle]) {
            $last = $order[] = $bottle->last->number;
            $rows[] = [null, $tenure->component_id, $last, $last, $bottle->state->value, null, null];
        }
        foreach ($page->outlook->deferrals as $id => $clock) {
            $order[] = $clock->forecastLast->number ?? PHP_INT_MAX;
            // A deferral stands in the place of a component, below nought.
            $rows[] = [
                null,
                -(int) $id,
                $clock->forecastLast?->number,
                $clock->forecastLast?->number,
                $page->outlook->carried[$id]->value,
                $clock->driver,
                $clock->usageLeft[(string) $clock->driver] ?? null,
            ];
        }
        asort($order);

        return [
            'head' => json_encode(
                $this->reach->row($page),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
            ),
            'rows' => json_encode(
                array_map(static fn(int $i): array => $rows[$i], array_keys($order)),
                JSON_THROW_ON_ERROR,
            ),
        ];
    }
}
