<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Fleet\Show\DueBook;
use App\Fleet\Show\DueRow;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use App\Visits\Show\View\MoreItem;
use App\Visits\Show\View\MoreView;
use App\Visits\Show\View\MoreVisit;

/** What could be made of a visit. */
final readonly class ShowMore
{
    /** Items that fall due within so many days of its beginning. */
    private const AHEAD = 180;

    public function __construct(private DueBook $book) {}

    public function of(int $id): MoreView
    {
        $visit = Visit::findOrFail($id);
        $aircraft = $this->book->query()->with(['type.items.template', 'type.items.set'])->whereKey($visit->aircraft_id)
            ->firstOrFail();
        $page = $this->book->page($aircraft);
        $carded = $page->file->carded();
        $items = $page->items()->filter(static fn(DueRow $r): bool => $r->due->latest !== null
            && $r->due->latest->number <= $visit->start->number + self::AHEAD && ! isset($carded[$r->key()]))
            ->sortBy(static fn(DueRow $r): int => $r->due->latest->number ?? 0);

        return new MoreView(
            array_values($items->map(static fn(DueRow $r): MoreItem => new MoreItem(
                $r->key(),
                $r->of->item->code,
                $r->title(),
                (string) $r->due->latest,
                $r->of->item->workHours(),
                $r->due->missedBy($visit->start) ? 'would be overdue' : null,
            ))->all()),
            [...array_values(Bay::orderBy('name')->pluck('name')->all()), Visit::LINE],
            array_values($aircraft->visits->where('id', '!=', $id)->map(static fn(Visit $v): MoreVisit => new MoreVisit(
                $v->id,
                $v->title,
                (string) $v->start,
            ))->all()),
        );
    }
}
