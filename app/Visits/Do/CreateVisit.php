<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DuePage;
use App\Fleet\Show\DueRow;
use App\Library\Model\Panel;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;

/**
 * Makes a visit from due items: one card an item, from its template, with all its steps; an item that is a set has a
 * card of each besides, and its own card closes them.
 */
final readonly class CreateVisit
{
    public function __construct(
        private DueBook $book,
        private LoadBay $bays,
        private CommitUnmoved $commit,
        private Records $records,
        private MakeCard $make,
        private VisitFrame $frame,
        private PlanVisit $plan,
    ) {}

    /** @throws Refused when an item would fall overdue before the visit, is in another one, or the dates clash */
    public function __invoke(Person $by, NewVisit $new): Visit
    {
        $visit = ($this->commit)(fn(): Closure => $this->ask($by, $new));
        ($this->plan)($visit, $by, 'planned when the visit was made');

        return $visit;
    }

    /**
     * Loads and asks; what it answers with makes the visit, in the transaction in which it is called.
     *
     * @param bool $bare without items: whoever asks makes its cards
     *
     * @return Closure(): Visit its cards not planned yet
     *
     * @throws Refused as above
     */
    public function ask(Person $by, NewVisit $new, bool $bare = false): Closure
    {
        $this->bays->requireDays($new->start, $new->end, 'Nothing was saved.', $new->asked);
        $aircraft = $this->book->query()->with('type.items.template', 'type.items.set')
            ->where('mark', $new->mark)
            ->firstOrFail();
        $this->bays->requireApart($aircraft, $new->start, $new->end, 'Choose other dates; nothing was saved.');
        $this->bays->requireKnown($new->bay, 'Nothing was saved.');
        $this->bays->requireFree(
            $new->bay,
            $new->start,
            $new->end,
            'Choose another bay or other dates; nothing was saved.',
        );
        $chosen = $bare ? collect() : $this->chosen($aircraft, $new->keys, $new->start);
        $this->bays->requireWashes($new->bay, self::dry($chosen), 'Nothing was saved.');

        return fn(): Visit => $this->make($by, $aircraft, $new, $chosen);
    }

    /**
     * As {@see ask()}, for who has judged all of it together: a season. What comes again may be in an earlier visit.
     *
     * @param DuePage $page of the aircraft, with `type.items.template` and `type.items.set`
     *
     * @return Closure(): Visit
     *
     * @throws Refused for an item that is no longer in the programme
     */
    public function judged(Person $by, DuePage $page, NewVisit $new): Closure
    {
        $chosen = self::rows($page, $new->keys);

        return fn(): Visit => $this->make($by, $page->aircraft, $new, $chosen);
    }

    /**
     * The same for more items of a visit that is kept.
     *
     * @param list<string> $keys
     *
     * @return Closure(): Visit
     *
     * @throws Refused likewise
     */
    public function judgedMore(Person $by, DuePage $page, Visit $visit, array $keys): Closure
    {
        return $this->fill($by, $page->aircraft, $visit, self::rows($page, $keys));
    }

    /** @param Collection<int, DueRow> $chosen */
    private function make(Person $by, Aircraft $aircraft, NewVisit $new, Collection $chosen): Visit
    {
        FloorCount::up($aircraft->id);
        $visit = Visit::create([
            'aircraft_id' => $aircraft->id,
            'title' => $new->title,
            'bay' => $new->bay,
            'start' => $new->start,
            'end' => $new->end,
            'state' => Visit::PLANNED,
        ]);
        $visit->setRelation('aircraft', $aircraft);
        if ($chosen->isNotEmpty()) {
            $this->cards($visit, $chosen, 0);
            $this->frame->complete($visit);
        }
        $this->records->write($by, 'visit.made', "visit:{$visit->id}", [
            'aircraft' => $aircraft->mark, 'start' => $visit->start, 'end' => $visit->end, 'bay' => $new->bay,
            'items' => $chosen->map(static fn(DueRow $r): string => $r->of->item->code)->values()->all(),
        ]);

        return $visit;
    }

    /**
     * More items for a visit; for one that has begun with a reason.
     *
     * @param list<string> $keys of due rows
     *
     * @throws Refused as when it is made
     */
    public function add(Person $by, Visit $visit, array $keys, ?string $reason = null): void
    {
        ($this->commit)(fn(): Closure => $this->askMore($by, $visit, $keys, $reason));
        ($this->plan)($visit, $by, 'planned with more items');
    }

    /**
     * Loads and asks; what it answers with adds the cards, in the transaction in which it is called.
     *
     * @param list<string> $keys of due rows
     *
     * @return Closure(): Visit
     *
     * @throws Refused as when it is made
     */
    public function askMore(Person $by, Visit $visit, array $keys, ?string $reason = null): Closure
    {
        if ($visit->refresh()->state === Visit::RELEASED) {
            throw Refused::because("\"{$visit->title}\" is released; it takes no more items. Nothing was saved.");
        }
        if ($visit->state === Visit::IN_WORK && trim((string) $reason) === '') {
            throw Refused::because("\"{$visit->title}\" has begun: say why it takes more items. Nothing was saved.");
        }
        $aircraft = $this->book->query()->with('type.items.template', 'type.items.set')
            ->whereKey($visit->aircraft_id)
            ->firstOrFail();

        $chosen = $this->chosen($aircraft, $keys, $visit->start);
        $this->bays->requireWashes($visit->bay, self::dry($chosen), 'Nothing was saved.');

        return $this->fill($by, $aircraft, $visit, $chosen, $reason);
    }

    /**
     * @param Collection<int, DueRow> $chosen
     *
     * @return Closure(): Visit
     */
    private function fill(
        Person $by,
        Aircraft $aircraft,
        Visit $visit,
        Collection $chosen,
        ?string $reason = null,
    ): Closure {
        return function () use ($by, $visit, $aircraft, $chosen, $reason): Visit {
            FloorCount::up($visit->aircraft_id);
            $this->cards($visit, $chosen, $visit->cardsMade());
            $visit->setRelation('aircraft', $aircraft);
            $this->frame->complete($visit);
            $this->records->write(
                $by,
                'visit.filled',
                "visit:{$visit->id}",
                [
                    'items' => $chosen->map(static fn(DueRow $r): string => $r->of->item->code)->values()->all(),
                    ...$reason === null ? [] : ['why' => $reason],
                ],
            );

            return $visit;
        };
    }

    /**
     * @param list<string> $keys
     *
     * @return Collection<int, DueRow>
     */
    private function chosen(Aircraft $aircraft, array $keys, Day $start): Collection
    {
        $page = $this->book->page($aircraft);
        $chosen = self::rows($page, $keys);
        $this->requireFree($chosen, $page->file->carded(), $start);

        return $chosen;
    }

    /**
     * @param Collection<int, DueRow> $chosen
     *
     * @return Collection<int, string>
     */
    private static function dry(Collection $chosen): Collection
    {
        return $chosen->reject(static fn(DueRow $r): bool => $r->of->item->wash)
            ->map(static fn(DueRow $r): string => "{$r->of->item->code} {$r->title()}")->values();
    }

    /**
     * @param list<string> $keys
     *
     * @return Collection<int, DueRow>
     *
     * @throws Refused
     */
    private static function rows(DuePage $page, array $keys): Collection
    {
        $due = $page->items()->keyBy(static fn(DueRow $r): string => $r->key());

        return collect($keys)->unique()
            ->map(static fn(string $key): DueRow => $due[$key] ?? throw Refused::because(
                "Item {$key} is not in the programme of {$page->aircraft->mark}. Reload the aircraft; nothing was "
                    .'saved.',
            ));
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
            $of = [
                'item_id' => $item->id, 'component_id' => $row->on?->component_id,
                'configuration' => $item->configuration ?? [],
            ];
            foreach ($item->set as $template) {
                ($this->make)($visit, $template, ++$n, [
                    ...$of, 'of_set' => true, 'title' => $template->partOf($row->title()),
                ]);
            }
            ($this->make)($visit, $item->template, ++$n, [
                ...$of, 'title' => $row->title(), 'hours' => $item->ownHours(),
                'zone' => $zones[$item->access[0] ?? ''] ?? $item->template->zone, 'panels' => $item->access,
            ], $item->chapter);
        }
    }
}
