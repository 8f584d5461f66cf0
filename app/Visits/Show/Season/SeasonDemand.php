<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DuePage;
use App\Fleet\Show\DueRow;
use App\Now\LoadFlying;
use App\Stores\Model\Part;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\StaggerLine;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\Season\SeasonItem;
use Jorvel\Core\Visits\Season\SeasonTime;

/**
 * What a fleet needs in a season: its due items, as often as the span holds them, with what its bottles bring forward,
 * and the deferrals that are to be closed.
 */
final class SeasonDemand
{
    /** The shortest interval, in days, by which life thrown away is measured. */
    private const SHORTEST = 7;

    /** @var list<SeasonLine> */
    public array $lines = [];

    /** @var array<int, list<string>> lines that a kept visit has cards for, by its id */
    public array $kept = [];

    /** @var array<string, Day> when a part that is not there is expected, by number */
    private array $comes;

    /** @var array<string, Day> day on which a phase is wished, by aircraft */
    private array $wishes;

    /**
     * @param Collection<string, DuePage> $pages by mark
     */
    public function __construct(
        private readonly Collection $pages,
        private readonly Day $from,
        private readonly Day $last,
        private readonly ClosesDeferrals $closures,
        private readonly LoadFlying $flying,
    ) {
        $this->comes = self::coming($from);
        $this->wishes = $this->wishes();
        $deferrals = $pages->flatMap(static fn(DuePage $p): Collection => $p->aircraft->deferrals
            ->each(static fn(Deferral $d) => $d->setRelation('aircraft', $p->aircraft)));
        $closures->read($deferrals);
        foreach ($pages as $page) {
            $this->aircraft($page);
        }
    }

    private function aircraft(DuePage $page): void
    {
        $aircraft = $page->aircraft;
        $in = [];
        foreach ($aircraft->visits->sortBy(static fn(Visit $v): int => $v->start->number) as $visit) {
            foreach ($visit->cards as $card) {
                if ($card->item_id !== null) {
                    $in[ItemNow::keyOf($card->item_id, $card->component_id)][$visit->id] = $visit->id;
                }
            }
        }
        $bottles = self::bottles($page);
        foreach ($page->items() as $row) {
            $this->item($aircraft, $row, array_values($in[$row->key()] ?? []), $bottles[$row->key()] ?? null);
        }
        foreach ($aircraft->deferrals as $deferral) {
            $last = $page->outlook->deferrals[$deferral->id]->forecastLast ?? null;
            $visit = $deferral->closing()?->card->visit_id;
            $asked = $last !== null && ($last->number <= $this->last->number || $visit !== null);
            if ($asked && $deferral->procedure_done) {
                $this->lines[] = $line = $this->deferral($aircraft, $deferral, $last);
                if ($visit !== null) {
                    $this->kept[$visit][] = $line->id();
                }
            }
        }
    }

    /**
     * @param list<int> $in visits in which it is already, in their order
     * @param Day|null $bottle last day of what it changes
     */
    private function item(Aircraft $aircraft, DueRow $row, array $in, ?Day $bottle): void
    {
        $allowed = $row->due->latest;
        if ($allowed === null && $bottle === null) {
            return;
        }
        $allowed = $bottle === null || ($allowed !== null && $allowed->number < $bottle->number) ? $allowed : $bottle;
        $forecast = $row->due->forecast;
        $since = $row->last->date ?? $aircraft->entry_date;
        $interval = max(self::SHORTEST, $since->daysUntil($forecast ?? $allowed));
        // A tolerance is left to whoever needs it: it is planned without.
        $due = $forecast !== null && $forecast->number < $allowed->number && $forecast->number > $this->from->number
            ? $forecast
            : $allowed;
        $after = null;
        foreach (SeasonTime::all($due, $due->daysUntil($allowed), $interval, count($in), $this->last) as $time) {
            $this->lines[] = $line = $this->line($aircraft, $row, $time, $interval, $after);
            $after = $line->id();
            if (isset($in[$time->n])) {
                $this->kept[$in[$time->n]][] = $after;
            }
        }
    }

    private function line(Aircraft $aircraft, DueRow $row, SeasonTime $time, int $interval, ?string $after): SeasonLine
    {
        $item = $row->of->item;
        $earliest = $after === null ? $this->from->number : $time->latest->number - intdiv($interval, 2);
        $waits = $this->waits($item->template->parts ?? []);
        $wish = $time->n === 0 && $item->phase ? $this->wishes[$aircraft->mark] ?? null : null;

        return new SeasonLine(SeasonItem::of(
            $aircraft->mark,
            PackItem::of(
                "{$aircraft->mark}|{$row->key()}|{$time->n}",
                Day::fromNumber(min($time->latest->number, $earliest)),
                $time->latest,
                (float) $interval,
                $item->workHours(),
                array_map(static fn(string $p): string => self::panel($item->type_id, $p), $item->panels()),
            ),
            ($item->configuration['jacks'] ?? null) === 'on'
                || $item->workHours() > (float) config('jorvel.season_roof_hours'),
            $wish !== null && $wish->number < $time->latest->number ? $wish : null,
            (float) config('jorvel.season_line_hours'),
            $after,
            $time->grace,
            $item->wash,
        ), $row->key(), $time->n, $item->code, $row->title(), $item->template->people(), ...$waits);
    }

    /** A panel of a type: two types may call theirs alike. */
    public static function panel(int $type, string $code): string
    {
        return "{$type}:{$code}";
    }

    private function deferral(Aircraft $aircraft, Deferral $deferral, Day $last): SeasonLine
    {
        $earliest = min($this->from->number, $last->number);

        return new SeasonLine(SeasonItem::of($aircraft->mark, PackItem::of(
            "{$aircraft->mark}|deferral:{$deferral->id}|0",
            Day::fromNumber($earliest),
            $last,
            (float) max(self::SHORTEST, $this->from->daysUntil($last)),
            $this->closures->hours($deferral),
        )), "deferral:{$deferral->id}", 0, $deferral->finding->number, "Close: {$deferral->listedItem->title}");
    }

    /**
     * A bottle that falls to its minimum wants what is done on it by then: of its items the one that takes least.
     *
     * @return array<string, Day> by key of the due row
     */
    private static function bottles(DuePage $page): array
    {
        $by = [];
        foreach ($page->outlook->bottles as $due) {
            $row = $page->items()->filter(
                static fn(DueRow $r): bool => (string) ($r->on?->component_id) === $due->bottle->componentId,
            )->sortBy(static fn(DueRow $r): float => $r->of->item->workHours())->first();
            if ($row !== null) {
                $by[$row->key()] = $due->last;
            }
        }

        return $by;
    }

    /**
     * What of some parts is not there, and comes last.
     *
     * @param array<string, int> $parts
     *
     * @return array{}|array{string, Day}
     */
    private function waits(array $parts): array
    {
        $waits = [];
        foreach (array_keys($parts) as $number) {
            $day = $this->comes[$number] ?? null;
            if ($day !== null && ($waits === [] || $day->number > $waits[1]->number)) {
                $waits = [(string) $number, $day];
            }
        }

        return $waits;
    }

    /** @return array<string, Day> */
    private static function coming(Day $today): array
    {
        $comes = [];
        foreach (Part::with(['orders', 'batches'])->get() as $part) {
            $orders = $part->usable($today) > 0 ? [] : $part->orders->pluck('expected')->all();
            if ($orders !== []) {
                $comes[$part->number] = Day::parse((string) min($orders));
            }
        }

        return $comes;
    }

    /**
     * The day on which each aircraft of a phased fleet would come to its phase if it stood on its line: earlier than it
     * falls due where it has too many hours left.
     *
     * @return array<string, Day>
     */
    private function wishes(): array
    {
        $fleets = $wishes = [];
        foreach ($this->pages as $mark => $page) {
            $phase = $page->aircraft->type->phase;
            $next = $phase === null ? null : $page->nextPhase($phase['unit']);
            if ($next?->due->forecast !== null) {
                $fleets["{$page->aircraft->fleet_id}/{$page->aircraft->type_id}"][$mark] = [
                    $next->due->driver->remaining ?? 0.0, $next->due->forecast, $phase,
                ];
            }
        }
        foreach ($fleets as $of) {
            $left = array_map(static fn(array $o): float => $o[0], $of);
            arsort($left);
            foreach (StaggerLine::through($left, (float) reset($of)[2]['interval'])->places as [$mark, $hours, $line]) {
                $aDay = $this->flying->plan($this->pages[$mark]->aircraft)->means[$of[$mark][2]['unit']] ?? 0.0;
                if ($aDay > 0 && $hours > $line) {
                    $wishes[$mark] = $of[$mark][1]->plusDays(-(int) round(($hours - $line) / $aDay));
                }
            }
        }

        return $wishes;
    }
}
