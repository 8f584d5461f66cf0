<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Base;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DuePage;
use App\Fleet\Show\DueRow;
use App\Fleet\Show\ShowReach;
use App\Fleet\Show\View\WhatIfItem;
use App\Fleet\Show\View\WhatIfRow;
use App\Fleet\Show\View\WhatIfView;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\VisitMoves;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Support\Collection;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;

/**
 * Supposes a change (use, a visit's dates, a base) and shows the dates before and after; saves it only when told, and
 * only if nothing has changed since it was looked at.
 *
 * @phpstan-type Change array{
 *   kind: string, mark?: string, id?: int, rates?: array<string, float>, week?: array<string, list<float>>|null,
 *   start?: string, end?: string, base?: string, reason?: string|null,
 * }
 */
final readonly class WhatIf
{
    /** What can be supposed; the record calls it `plan.` and the kind. */
    public const KINDS = ['use', 'visit', 'base'];

    public function __construct(
        private DueBook $book,
        private ShowReach $reach,
        private VisitMoves $moves,
        private PlansAgain $plans,
        private CommitUnmoved $commit,
        private Records $records,
        private Clock $clock,
    ) {}

    /**
     * @param list<Change> $changes
     *
     * @throws Refused for a change that cannot be
     */
    public function look(array $changes): WhatIfView
    {
        [$before, $after] = [$this->read($changes), $this->read($changes)];
        $this->supposeAll($after, $changes);
        $pages = $then = $now = [];
        foreach ($before as $mark => $was) {
            $pages[$mark] = [$this->book->page($was), $this->book->page($after[$mark])];
            $then[] = $this->reach->row($pages[$mark][0]);
            $now[] = $this->reach->row($pages[$mark][1]);
        }
        $then = $this->reach->withPlans($then);
        // What moves is planned anew.
        $now = $this->reach->withPlans($now, array_values(self::moved($after)->pluck('id')->all()));
        $rows = [];
        foreach (array_values($pages) as $n => [$was, $is]) {
            $rows[] = new WhatIfRow($was->aircraft->mark, $then[$n], $now[$n], $this->items($was, $is));
        }
        $moved = array_sum(array_map(static fn(WhatIfRow $r): int => count($r->items), $rows));
        $trouble = array_sum(array_map(
            static fn(WhatIfRow $r): int => count(array_filter(
                $r->items,
                static fn(WhatIfItem $i): bool => $i->trouble !== null,
            )),
            $rows,
        ));
        $sentence = match (true) {
            $rows === [] => 'Suppose a change to see what it does.',
            $moved === 0 => 'This moves no date.',
            default => "This moves {$moved} ".($moved === 1 ? 'date' : 'dates').' on '.implode(
                ', ',
                array_map(static fn(WhatIfRow $r): string => $r->mark, $rows),
            ).'; nothing is saved yet.',
        };
        if ($trouble > 0) {
            $sentence .= $trouble === 1
                ? ' One item would be overdue: it cannot be saved so.'
                : " {$trouble} items would be overdue: it cannot be saved so.";
        }

        return new WhatIfView($sentence, hash('sha256', (string) json_encode([$changes, $rows])), $rows);
    }

    /**
     * @param list<Change> $changes
     *
     * @throws Refused when something would be overdue, or the world is no longer as it was looked at
     */
    public function apply(Person $by, array $changes, string $base): WhatIfView
    {
        [$view, $again] = ($this->commit)(function () use ($by, $changes, $base): Closure {
            $view = $this->look($changes);
            if ($view->base !== $base) {
                throw Refused::stale(
                    'Something changed since you looked at this. Look again; nothing was saved.',
                    $view,
                );
            }
            foreach ($view->aircraft as $row) {
                foreach ($row->items as $item) {
                    if ($item->trouble !== null) {
                        throw Refused::because(
                            "{$row->mark}: {$item->code} {$item->title} {$item->trouble}. Nothing was saved.",
                        );
                    }
                }
            }
            $aircraft = $this->read($changes);
            $this->supposeAll($aircraft, $changes);
            $again = self::again($aircraft);

            return function () use ($by, $changes, $aircraft, $view, $again): array {
                foreach ($changes as $change) {
                    $this->records->write(
                        $by,
                        "plan.{$change['kind']}",
                        isset($change['id']) ? "visit:{$change['id']}" : "aircraft:{$change['mark']}",
                        $change,
                    );
                }
                foreach ($aircraft as $one) {
                    // How it flies is nothing to whoever works on it.
                    if ($one->isDirty('base') || $one->visits->contains(static fn(Visit $v): bool => $v->isDirty())) {
                        FloorCount::up($one->id);
                    }
                    $one->visits->each(static fn(Visit $v): bool => $v->save());
                    $one->save();
                }

                return [$view, $again];
            };
        });
        $this->plans->plan($by, $again, 'planned for what was supposed');

        return $view;
    }

    /**
     * The visits whose plans are not what they were: they begin on another day, or are worked by the people of another
     * base.
     *
     * @param Collection<string, Aircraft> $aircraft as they are supposed to be, not saved yet
     *
     * @return list<int> ids
     */
    private static function again(Collection $aircraft): array
    {
        $moved = self::moved($aircraft)->keyBy('id');
        $again = Visit::with('plan')->findMany($moved->keys())
            ->reject(static fn(Visit $v): bool => $v->planStands($v->bay, $moved[$v->id]->start));
        $elsewhere = $aircraft->filter(static fn(Aircraft $a): bool => $a->isDirty('base'))
            ->flatMap(static fn(Aircraft $a): Collection => $a->visits->where('bay', Visit::LINE)->toBase());

        return array_values($again->toBase()->merge($elsewhere)->pluck('id')->unique()->all());
    }

    /**
     * @param Collection<string, Aircraft> $aircraft as they are supposed to be, not saved yet
     *
     * @return Collection<int, Visit> that are on other days than before
     */
    private static function moved(Collection $aircraft): Collection
    {
        return $aircraft->flatMap(static fn(Aircraft $a): array => $a->visits
            ->filter(static fn(Visit $v): bool => $v->isDirty())->all())->values();
    }

    /**
     * Everything together, and then whether it can be: two that change places are in nobody's way.
     *
     * @param Collection<string, Aircraft> $aircraft
     * @param list<Change> $changes
     */
    private function supposeAll(Collection $aircraft, array $changes): void
    {
        foreach ($changes as $change) {
            $this->suppose($aircraft, $change);
        }
        $as = [];
        foreach ($aircraft as $one) {
            foreach ($one->visits as $visit) {
                $as[$visit->id] = $visit->setRelation('aircraft', $one);
            }
        }
        foreach (array_intersect_key($as, array_flip(array_column($changes, 'id'))) as $visit) {
            $this->moves->requirePlace($visit, $visit->bay, $visit->start, $visit->end, 'Choose other dates.', $as);
        }
    }

    /**
     * @param list<Change> $changes
     *
     * @return Collection<string, Aircraft> by mark
     */
    private function read(array $changes): Collection
    {
        $marks = array_column($changes, 'mark');
        $visits = array_column($changes, 'id');

        return $this->book->query()
            ->where(static fn($q) => $q->whereIn('mark', $marks)->orWhereIn(
                'id',
                Visit::whereIn('id', $visits)->select('aircraft_id'),
            ))
            ->orderBy('mark')
            ->get()
            ->keyBy('mark');
    }

    /**
     * @param Collection<string, Aircraft> $aircraft
     * @param Change $change
     */
    private function suppose(Collection $aircraft, array $change): void
    {
        if ($change['kind'] === 'visit') {
            $this->slip($aircraft, $change);

            return;
        }
        $one = $aircraft->get($change['mark'] ?? '') ?? throw Refused::because(
            'There is no aircraft "'.($change['mark'] ?? '').'".',
        );
        if ($change['kind'] === 'base') {
            $base = Base::find($change['base'] ?? '') ?? throw Refused::because(
                'There is no base "'.($change['base'] ?? '').'".',
            );
            $one->base = $base->name;
            $one->setRelation('home', $base);

            return;
        }
        $rates = array_map(floatval(...), $change['rates'] ?? []);
        foreach ([...array_keys($rates), ...array_keys($change['week'] ?? [])] as $counter) {
            if (! isset($one->counters[$counter])) {
                throw Refused::because("{$one->mark} has no counter \"{$counter}\".");
            }
        }
        $one->rates = [...$one->rates, ...$rates];
        $one->week = $change['week'] ?? null;
    }

    /**
     * @param Collection<string, Aircraft> $aircraft
     * @param Change $change
     */
    private function slip(Collection $aircraft, array $change): void
    {
        $visit = $aircraft->flatMap(static fn(Aircraft $a): Collection => $a->visits)
            ->firstWhere('id', $change['id'] ?? 0) ?? throw Refused::because('This visit is not planned any more.');
        $start = Day::parse((string) ($change['start'] ?? ''));
        $this->moves->requireMay($visit, $start, $change['reason'] ?? null, 'Nothing was saved.');
        $visit->start = $start;
        $visit->end = Day::parse((string) ($change['end'] ?? ''));
    }

    /** @return list<WhatIfItem> whose dates are others, or that would be overdue */
    private function items(DuePage $before, DuePage $after): array
    {
        $old = $before->items()->keyBy(static fn(DueRow $r): string => $r->key());
        $items = [];
        foreach ($after->items() as $row) {
            $from = $old[$row->key()]->due->forecast ?? null;
            $to = $row->due->forecast;
            // What its visit is too late for as it stands is not this change's doing.
            $trouble = isset($old[$row->key()]) && self::missedIn($before->aircraft, $old[$row->key()]) !== null
                ? null
                : $this->trouble($after->aircraft, $row);
            if (($from->number ?? null) !== ($to->number ?? null) || $trouble !== null) {
                $items[] = new WhatIfItem(
                    $row->key(),
                    $row->of->item->code,
                    $row->title(),
                    $from === null ? null : (string) $from,
                    $to === null ? null : (string) $to,
                    $from === null || $to === null ? null : $from->daysUntil($to),
                    $row->state->value,
                    $trouble,
                );
            }
        }

        return $items;
    }

    /** Why the item would be overdue in a visit as it would be; null when it would not. */
    private function trouble(Aircraft $aircraft, DueRow $row): ?string
    {
        $visit = self::missedIn($aircraft, $row);

        return $visit === null
            ? null
            : "must be done by {$this->clock->words($row->due->latest)}; the visit would begin on "
                .$this->clock->words($visit->start);
    }

    private static function missedIn(Aircraft $aircraft, DueRow $row): ?Visit
    {
        return $aircraft->visits->first(static fn(Visit $visit): bool => $visit->state === Visit::PLANNED
            && $row->due->missedBy($visit->start) && $visit->cards->contains(
                static fn($c): bool => ItemNow::keyOf($c->item_id, $c->component_id) === $row->key(),
            ));
    }
}
