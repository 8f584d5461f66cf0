<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\ListedRevision;
use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Library\Show\View\ListedRoom;
use App\Library\Show\View\ListedRow;
use App\Library\Show\View\ProgrammeCard;
use App\Shared\Clock;
use App\Shared\Words;

/** What may be carried on a type, by its revision in force. */
final readonly class ShowListed
{
    public function __construct(private Clock $clock) {}

    public function of(string $code): ListedRoom
    {
        $type = AircraftType::where('code', $code)->firstOrFail();
        $items = ListedItem::inForce($type->id)->get();
        $carried = Deferral::where('state', Deferral::OPEN)->whereIn('listed_item_id', $items->modelKeys())
            ->pluck('listed_item_id')->countBy();
        $revisions = ListedRevision::with('person')->where('type_id', $type->id)->orderByDesc('revision')->get();
        $rows = $items->map(fn(ListedItem $i): ListedRow => $this->row($i, (int) $carried->get($i->id, 0)));
        $now = $revisions->first();

        return new ListedRoom(
            $type->code,
            $now === null ? "The {$type->code} has no list: nothing may be carried on it. Bring one in in Library."
                : "{$type->code}, revision {$now->revision} of {$this->clock->words($now->issued)}: ".Words::count(
                    $items->count(),
                    'listed item',
                )
                    .", {$items->filter(static fn(ListedItem $i): bool => $i->terms()->safe !== null)->count()} of "
                        .'them made safe '
                    .'by a card first.',
            $now->revision ?? 0,
            (string) $this->clock->today(),
            array_values($rows->all()),
            array_values($revisions->map(fn(ListedRevision $r): string => "Revision {$r->revision}, "
                ."{$this->clock->words($r->issued)}: {$r->summary}"
                .($r->person === null ? '' : "; brought in by {$r->person->name}"))->all()),
            array_values(CardTemplate::where('type_id', $type->id)->whereNull('makes')->orderBy('code')
                ->get(['code', 'title'])
                ->map(static fn(CardTemplate $t): ProgrammeCard => new ProgrammeCard($t->code, $t->title))->all()),
            array_values($items->map(static fn(ListedItem $i): string => $i->terms()->system)->unique()->sort()->all()),
            array_values((array) config('jorvel.flight_conditions')),
        );
    }

    private function row(ListedItem $item, int $carried): ListedRow
    {
        $terms = $item->terms();
        $days = (array) config('jorvel.deferral_days');
        $limits = array_filter([
            isset($days[$item->category]) ? Words::count($days[$item->category], 'day') : '',
            ...array_map(
                static fn(string $c, float|int $v): string => Words::amount((float) $v, $c),
                array_map(strval(...), array_keys($item->limits)),
                $item->limits,
            ),
        ]);

        return new ListedRow(
            $item->code,
            $item->version,
            $item->chapter,
            $item->title,
            $terms->system,
            $item->category,
            implode(', ', $limits),
            "{$terms->installed} / {$terms->required}",
            implode(' ', array_filter([
                $terms->conditions,
                DeferralWords::forbids($terms->forbids),
                $terms->restricts === [] ? '' : implode('; ', DeferralWords::restrictions($terms->restricts)).'.',
                $terms->needs === [] ? '' : 'Needs '.Words::list($terms->needs).'.',
            ])),
            implode(', ', array_filter([$terms->safe, ...$terms->closes])),
            $item->placard,
            $carried,
            ListedItem::object($item->body),
        );
    }
}
