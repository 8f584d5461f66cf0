<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DueRow;
use App\Library\Model\Panel;
use App\Now\FloorCount;
use App\Now\LoadFlying;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Makes a visit from due items: one card an item, from its template, with all its steps. */
final readonly class CreateVisit
{
    public function __construct(
        private DueBook $book,
        private LoadFlying $flying,
        private Records $records,
        private MakeCard $make,
        private VisitFrame $frame,
        private PlanVisit $plan,
    ) {}

    /**
     * @param list<string> $keys of due rows: "12" for item 12, "12:7" for item 12 of component 7
     *
     * @throws Refused when an item would fall overdue before the visit, is in another one, or the dates clash
     */
    public function __invoke(
        Person $by,
        string $mark,
        string $title,
        string $bay,
        Day $start,
        Day $end,
        array $keys,
    ): Visit {
        $visit = DB::transaction(function () use ($by, $mark, $title, $bay, $start, $end, $keys): Visit {
            $aircraft = $this->book->query()->with('type.items.template')->where('mark', $mark)->firstOrFail();
            if ($end->number < $start->number) {
                throw Refused::because("The visit ends on {$end}, before it begins on {$start}. Nothing was saved.");
            }
            foreach ($aircraft->visits as $other) {
                if ($this->flying->span($other)->overlaps($start, $end)) {
                    throw Refused::because(
                        "{$mark} is already in \"{$other->title}\" from {$other->start} to {$other->end}. Choose "
                            .'other dates; nothing was saved.',
                    );
                }
            }
            $this->requireBay($bay, $start, $end);
            $chosen = $this->chosen($aircraft, $keys, $start);
            FloorCount::up($aircraft->id);
            $visit = Visit::create([
                'aircraft_id' => $aircraft->id,
                'title' => $title,
                'bay' => $bay,
                'start' => (string) $start,
                'end' => (string) $end,
                'state' => Visit::PLANNED,
            ]);
            $this->cards($visit, $chosen, 0);
            $visit->setRelation('aircraft', $aircraft);
            $this->frame->complete($visit);
            $this->records->write($by, 'visit.made', "visit:{$visit->id}", [
                'aircraft' => $mark, 'start' => $visit->start, 'end' => $visit->end, 'bay' => $bay,
                'items' => $chosen->map(static fn(DueRow $r): string => $r->of->item->code)->values()->all(),
            ]);

            return $visit;
        });
        ($this->plan)($visit, $by, 'planned when the visit was made');

        return $visit;
    }

    /** A bay of the list takes one aircraft at a time; elsewhere there is room. */
    private function requireBay(string $bay, Day $start, Day $end): void
    {
        $other = Bay::where('name', $bay)->exists()
            ? Visit::with('aircraft')
                ->where('bay', $bay)
                ->where('state', '!=', Visit::RELEASED)
                ->where('start', '<=', (string) $end)
                ->where('end', '>=', (string) $start)
                ->first()
            : null;
        if ($other !== null) {
            throw Refused::because(
                "{$other->aircraft->mark} stands in {$bay} from {$other->start} to {$other->end}. Choose another "
                    .'bay or other dates; nothing was saved.',
            );
        }
    }

    /**
     * More items for a visit that is planned and not begun.
     *
     * @param list<string> $keys of due rows
     *
     * @throws Refused as when it is made
     */
    public function add(Person $by, Visit $visit, array $keys): void
    {
        DB::transaction(function () use ($by, $visit, $keys): void {
            if ($visit->refresh()->state !== Visit::PLANNED) {
                throw Refused::because(
                    "\"{$visit->title}\" has begun; it takes no more items this way. Nothing was saved.",
                );
            }
            FloorCount::up($visit->aircraft_id);
            $aircraft = $this->book->query()->with('type.items.template')->whereKey($visit->aircraft_id)->firstOrFail();
            $n = $visit->cards()->count();
            $chosen = $this->chosen($aircraft, $keys, Day::parse($visit->start));
            $this->cards($visit, $chosen, $n);
            $visit->setRelation('aircraft', $aircraft);
            $this->frame->complete($visit);
            $this->records->write(
                $by,
                'visit.filled',
                "visit:{$visit->id}",
                ['items' => $chosen->map(static fn(DueRow $r): string => $r->of->item->code)->values()->all()],
            );
        });
        ($this->plan)($visit, $by, 'planned with more items');
    }

    /**
     * @param list<string> $keys
     *
     * @return Collection<int, DueRow>
     */
    private function chosen(Aircraft $aircraft, array $keys, Day $start): Collection
    {
        $page = $this->book->page($aircraft);
        $due = $page->items()->keyBy(static fn(DueRow $r): string => $r->key());
        $chosen = collect($keys)->unique()
            ->map(static fn(string $key): DueRow => $due[$key] ?? throw Refused::because(
                "Item {$key} is not in the programme of {$aircraft->mark}. Reload the aircraft; nothing was saved.",
            ));
        $this->requireFree($chosen, $page->file->carded(), $start);

        return $chosen;
    }

    /**
     * @param Collection<int, DueRow> $chosen
     * @param array<string, string> $taken the visit that has an item already, by its key
     */
    private function requireFree(Collection $chosen, array $taken, Day $start): void
    {
        if ($chosen->isEmpty()) {
            throw Refused::because('Choose at least one item for the visit. Nothing was saved.');
        }
        foreach ($chosen as $row) {
            $due = $row->due;
            if (isset($taken[$row->key()])) {
                throw Refused::because(
                    "{$row->of->item->code} {$row->title()} is already in \"{$taken[$row->key()]}\". Nothing "
                        .'was saved.',
                );
            }
            if ($due->missedBy($start)) {
                throw Refused::because(
                    "{$row->of->item->code} {$row->title()} must be done by {$due->latest}; a visit from {$start} is "
                        .'too late for it. Begin earlier; nothing was saved.',
                );
            }
        }
    }

    /**
     * @param Collection<int, DueRow> $chosen
     * @param int $n how many cards the visit has already
     */
    private function cards(Visit $visit, Collection $chosen, int $n): void
    {
        $codes = $chosen->flatMap(static fn(DueRow $r): array => $r->of->item->access);
        $zones = Panel::where('type_id', $chosen->firstOrFail()->of->item->type_id)->whereIn('code', $codes)
            ->pluck('zone', 'code');
        foreach ($chosen as $row) {
            $item = $row->of->item;
            ($this->make)($visit, $item->template, ++$n, [
                'item_id' => $item->id, 'component_id' => $row->on?->component_id, 'title' => $row->title(),
                'hours' => $item->workHours(),
                'zone' => $zones[$item->access[0] ?? ''] ?? $item->template->zone, 'panels' => $item->access,
                'states' => $item->states ?? [],
            ], $item->chapter);
        }
    }
}
