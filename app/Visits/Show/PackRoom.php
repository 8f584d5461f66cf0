<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DueRow;
use App\Library\Model\Panel;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Show\View\PackAircraft;
use App\Visits\Show\View\PackLine;
use App\Visits\Show\View\PackSlot;
use App\Visits\Show\View\PackView;
use Jorvel\Core\Fleet\DueStatus;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Visits\Pack;
use Jorvel\Core\Visits\PackGiven;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\PackVisit;

/**
 * Which due items of an aircraft go into which of its visits and free bay slots: proposed by the core, or as somebody
 * has laid them.
 */
final readonly class PackRoom
{
    private const BUDGET_MS = 800;

    public function __construct(private Clock $clock, private DueBook $book, private FreeSlots $free) {}

    /**
     * @param array<string, string>|null $into slot by item, as laid by hand; null for a proposal
     * @param list<string> $skip slots that a proposal leaves alone
     *
     * @throws Refused when there is no aircraft to pack
     */
    public function look(?string $mark, int $days, ?array $into, array $skip = []): PackView
    {
        $fleet = Aircraft::with('type')->orderBy('mark')->get();
        $mark ??= $fleet->first()->mark ?? throw Refused::because('There is no aircraft yet.');
        $aircraft = $this->book->query()->where('mark', $mark)->firstOrFail();
        $rows = $this->rows($aircraft, $days);
        $slots = $this->free->slots($aircraft, $days);
        $access = Panel::where('type_id', $aircraft->type_id)->get()
            ->mapWithKeys(static fn(Panel $p): array => [$p->code => $p->hours()])
            ->all();
        foreach ($rows as [$item]) {
            $access += array_fill_keys($item->panels, 1.0);
        }
        $items = array_values(array_map(static fn(array $r): PackItem => $r[0], $rows));
        $visits = array_values(array_map(static fn(array $s): PackVisit => $s[0], $slots));
        $found = $into === null ? Pack::into(
            $items,
            array_values(array_filter($visits, static fn(PackVisit $v): bool => ! in_array($v->id, $skip, true))),
            $access,
            (float) config('jorvel.access_hour_cost'),
            Deadline::in(self::BUDGET_MS),
        ) : null;
        $into ??= [];
        if ($found !== null) {
            foreach ($found->visits as $visit) {
                $into += array_fill_keys($visit['items'], $visit['id']);
            }
        }
        $given = Pack::given($items, $visits, $access, (float) config('jorvel.access_hour_cost'), $into);

        return $this->view(
            $aircraft,
            $days,
            $rows,
            $slots,
            $given,
            $into,
            array_column($found->unplaced ?? [], 'reason', 'id'),
            $found->proven ?? false,
            $found !== null,
            array_values(
                $fleet
                    ->map(static fn(Aircraft $a): PackAircraft => new PackAircraft($a->mark, $a->type->code, $a->base))
                    ->all(),
            ),
        );
    }

    /**
     * What falls due in time and is in no visit, with how it is packed.
     *
     * @return array<string, array{PackItem, DueRow}> by key
     */
    private function rows(Aircraft $aircraft, int $days): array
    {
        $today = $this->clock->today();
        $page = $this->book->page($aircraft->load(['type.items.template', 'type.items.set']));
        $taken = $page->file->carded();
        $rows = [];
        foreach ($page->items() as $row) {
            $latest = $row->due->latest;
            if (
                $latest === null
                || isset($taken[$row->key()])
                || $row->due->status === DueStatus::Overdue
                || $latest->number > $today->number + $days
            ) {
                continue;
            }
            $since = $row->last->date ?? $aircraft->entry_date;
            $forecast = $row->due->forecast ?? $latest;
            $rows[$row->key()] = [
                PackItem::of(
                    $row->key(),
                    $today,
                    $latest,
                    (float) max(7, $since->daysUntil($forecast)),
                    $row->of->item->workHours(),
                    $row->of->item->panels(),
                ),
                $row,
            ];
        }

        return $rows;
    }

    /**
     * @param array<string, array{PackItem, DueRow}> $rows
     * @param array<string, array{PackVisit, string, string, string}> $slots
     * @param array<array-key, string> $into
     * @param array<array-key, string> $why not placed, by item
     * @param list<PackAircraft> $fleet
     */
    private function view(
        Aircraft $aircraft,
        int $days,
        array $rows,
        array $slots,
        PackGiven $given,
        array $into,
        array $why,
        bool $proven,
        bool $proposed,
        array $fleet,
    ): PackView {
        $life = 0.0;
        $lines = [];
        foreach ($rows as $key => [$item, $row]) {
            $slot = $into[$key] ?? null;
            $visit = $slot === null ? null : $slots[$slot][0] ?? null;
            $lost = $visit === null ? null : $visit->start->daysUntil($item->latest);
            $life += max(0, (int) $lost);
            $lines[] = new PackLine(
                (string) $key,
                $row->of->item->code,
                $row->title(),
                (string) $item->latest,
                $this->clock->today()->daysUntil($item->latest),
                $item->hours,
                $item->panels,
                $visit === null ? null : $slot,
                $lost === null ? null : $this->lost($lost, $item->interval),
                $this->problem($given->misfits[$key] ?? null, $visit, $item, $why[$key] ?? null),
            );
        }
        $byId = array_column($given->packing->visits, null, 'id');
        $views = [];
        foreach ($slots as $id => [$visit, $kind, $title, $bay]) {
            $in = $byId[$id];
            $views[] = new PackSlot(
                $id,
                $kind,
                $title,
                $bay,
                (string) $visit->start,
                (string) $visit->end,
                $visit->capacity,
                $in['item_hours'],
                $in['access_hours'],
                $in['free_hours'],
                in_array($id, $given->full, true) ? Words::number(-$in['free_hours']).' h more than it holds' : null,
            );
        }
        $placed = count(array_filter($lines, static fn(PackLine $l): bool => $l->slot !== null));
        $bad = count($given->misfits) + count($given->full);
        $open = count($lines) - $placed;
        $waste = Words::number($life).' days of life are given up early';
        $sentence = match (true) {
            $lines === [] => "Nothing of {$aircraft->mark} falls due within {$days} days that is not in a visit.",
            $bad > 0 => ($bad === 1 ? 'One thing' : "{$bad} things").' must be put right before it can be saved.',
            $open === 0 => "All {$placed} items of {$aircraft->mark} have a visit; {$waste}.",
            default => "{$placed} of ".count($lines)." items of {$aircraft->mark} have a visit; {$waste}. "
                .($open === 1 ? 'One has none.' : "{$open} have none."),
        };

        return new PackView(
            $aircraft->mark,
            $aircraft->type->code,
            $days,
            $sentence,
            $bad > 0 ? 'stop' : ($open > 0 ? 'watch' : 'clear'),
            $given->packing->cost,
            $life,
            $proven,
            $proposed,
            $given->holds() && $placed > 0,
            $views,
            $lines,
            $fleet,
        );
    }

    private function lost(int $days, float $interval): string
    {
        return $days <= 0
            ? 'nothing given up'
            : Words::count($days, 'day').' early, '.round(100 * $days / $interval).' % of its life';
    }

    private function problem(?string $misfit, ?PackVisit $visit, PackItem $item, ?string $why): ?string
    {
        return match (true) {
            $misfit === 'too_late' && $visit !== null
                => "would be overdue: it must be done by {$this->clock->words($item->latest)}, the visit begins on "
                    .$this->clock->words($visit->start),
            $misfit === 'too_early' => 'may not be done that early',
            $visit !== null => null,
            $why === 'no_visit_in_window' => 'no visit begins before it must be done',
            $why === 'no_capacity' => 'the visits in its time are full',
            default => 'in no visit',
        };
    }
}
