<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\ItemDoing;
use App\Fleet\Show\View\DoneView;
use App\Fleet\Show\View\FittedView;
use App\Fleet\Show\View\FlyingView;
use App\Fleet\Show\View\HistoryView;
use App\Fleet\Show\View\MonthView;
use App\Shared\Clock;

/** What an aircraft has flown and what was done to it, the latest first. */
final readonly class ShowHistory
{
    private const DAYS_SHOWN = 60;

    public function __construct(private Clock $clock) {}

    public function of(string $mark): HistoryView
    {
        $aircraft = Aircraft::where('mark', $mark)->firstOrFail();
        $shown = FlyingEntry::with('person')->where('aircraft_id', $aircraft->id)
            ->orderByDesc('date')
            ->orderByDesc('id')
            ->limit(self::DAYS_SHOWN)
            ->get();
        $done = ItemDoing::with(['item', 'component', 'card:id,number,signed_at'])->where('aircraft_id', $aircraft->id)
            ->orderByDesc('date')
            ->orderByDesc('id')
            ->limit(200)
            ->get();

        return new HistoryView(
            $this->months($aircraft),
            array_values($shown->map(static fn(FlyingEntry $f): FlyingView => new FlyingView(
                $f->id,
                (string) $f->date,
                ShowFleet::amounts($f->flown),
                (object) $f->flown,
                $f->current,
                $f->source,
                $f->reason,
                $f->person?->name,
            ))->all()),
            array_values($done->map($this->done(...))->all()),
            $this->fitted($aircraft),
        );
    }

    private function done(ItemDoing $d): DoneView
    {
        $signed = $d->card?->signed_at;

        return new DoneView(
            (string) $d->date,
            $d->item->code,
            $d->component === null ? $d->item->title : "{$d->item->title}, {$d->component->name()}",
            ShowFleet::amounts($d->counters),
            $d->visit_id,
            $d->done_by === null || $signed === null
                ? $d->done_by
                : "{$d->done_by}, {$this->clock->local($signed)}",
            $d->card_id,
            $d->card?->number,
        );
    }

    /** @return list<MonthView> the last eighteen months that were flown */
    private function months(Aircraft $aircraft): array
    {
        $months = [];
        foreach ($aircraft->flying()->get(['date', 'flown']) as $entry) {
            $month = substr((string) $entry->date, 0, 7);
            if (array_sum($entry->flown) > 0) {
                $months[$month]['days'][(string) $entry->date] = true;
            }
            foreach ($entry->flown as $counter => $amount) {
                $months[$month]['flown'][$counter] = round(($months[$month]['flown'][$counter] ?? 0) + $amount, 3);
            }
        }
        ksort($months);

        return array_map(
            static fn(string $m, array $v): MonthView => new MonthView(
                $m,
                count($v['days'] ?? []),
                (object) ($v['flown'] ?? []),
            ),
            array_slice(array_keys($months), -18),
            array_slice($months, -18),
        );
    }

    /** @return list<FittedView> */
    private function fitted(Aircraft $aircraft): array
    {
        $out = [];
        foreach (ComponentTenure::with('component')->where('aircraft_id', $aircraft->id)->orderBy('id')->get() as $t) {
            $out[] = new FittedView(
                (string) $t->from_date,
                'fitted',
                $t->component->name(),
                $t->position,
                ShowFleet::amounts($t->own),
                null,
            );
            if ($t->to_date !== null) {
                $out[] = new FittedView(
                    (string) $t->to_date,
                    'taken off',
                    $t->component->name(),
                    $t->position,
                    ShowFleet::amounts($t->own_end ?? []),
                    $t->reason,
                );
            }
        }
        usort($out, static fn(FittedView $a, FittedView $b): int => $b->date <=> $a->date);

        return $out;
    }
}
