<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Deferrals\Model\Deferral;
use App\Fleet\BottleWords;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Show\View\Bracket;
use App\Fleet\Show\View\Fuse;
use App\Fleet\Show\View\ReachRow;
use App\Fleet\Show\View\StopView;
use App\Floor\Model\Damage;
use App\Floor\Model\Finding;
use App\Now\LoadExits;
use App\Now\VisitDoubts;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\LimitDue;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Shared\Day;

/** An aircraft's reach in numbers and words: what stops it, its visits as brackets, its deferrals as fuses. */
final readonly class ShowReach
{
    public function __construct(private Clock $clock, private VisitDoubts $doubts, private LoadExits $exits) {}

    public function row(DuePage $page): ReachRow
    {
        $today = $this->clock->today();
        [$aircraft, $reach] = [$page->aircraft, $page->outlook->reach];
        $lasts = array_map(static fn(ClockResult $c): ?Day => $c->forecastLast, $page->outlook->deferrals);
        $fuses = $aircraft->deferrals->filter(static fn(Deferral $d): bool => $lasts[$d->id] !== null)
            ->map(static fn(Deferral $d): Fuse => new Fuse(
                $d->id,
                $d->listedItem->title,
                $today->daysUntil($lasts[$d->id] ?? $today),
                (string) $lasts[$d->id],
            ));

        return new ReachRow(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->fleet->name,
            $aircraft->base,
            $reach->state->value,
            $reach->driver === null ? null : $this->stop($reach->driver, $page),
            array_values($aircraft->visits->values()->map(function (
                Visit $v,
                int $i,
            ) use ($page, $today, $aircraft): Bracket {
                $span = $page->file->now->visits[$i];

                return new Bracket(
                    $v->id,
                    $v->title,
                    $today->daysUntil($span->from),
                    $today->daysUntil($span->to),
                    $v->state === Visit::IN_WORK,
                    $this->doubts->over($v, $aircraft->sectors),
                );
            })->all()),
            array_values($fuses->all()),
        );
    }

    /**
     * With what there is to say of the plans of their visits, which are made anew more often than the rows are.
     *
     * @param list<ReachRow> $rows
     * @param list<int> $but visits whose plans are not asked for
     *
     * @return list<ReachRow>
     */
    public function withPlans(array $rows, array $but = []): array
    {
        $ids = array_merge(...array_map(static fn(ReachRow $r): array => array_column($r->visits, 'id'), $rows));
        $late = $this->exits->of(array_values(array_diff($ids, $but)));

        return array_map(static fn(ReachRow $r): ReachRow => $r->visiting(array_map(
            static fn(Bracket $b): Bracket => $b->doubted($late[$b->id]['said'] ?? null),
            $r->visits,
        )), $rows);
    }

    /** What is left to a limit; calendar limits from today. */
    public function remaining(?LimitDue $limit): string
    {
        if ($limit === null) {
            return '';
        }

        return $limit->next instanceof Day
            ? Words::amount($this->clock->today()->daysUntil($limit->next), 'days')
            : Words::amount($limit->remaining, $limit->unit);
    }

    /** How it stands in a sentence: in its visit, what stops it first, or that nothing does. */
    public function said(Aircraft $aircraft, ReachRow $row): string
    {
        $in = array_values(array_filter(
            $row->visits,
            static fn(Bracket $b): bool => $b->from <= 0 && $b->to >= 0,
        ))[0] ?? null;
        $stop = $row->stop;
        if ($row->state === FleetState::Waiting->value && $in !== null) {
            $until = $this->clock->words($this->clock->today()->plusDays($in->to));
            $then = $stop === null ? '' : " Next: {$stop->title}, by {$this->clock->words(Day::parse($stop->date))}.";

            $ends = Day::parse((string) $aircraft->visits->firstWhere('id', $in->id)?->end);

            return $ends->number < $this->clock->today()->number
                ? "{$aircraft->mark} is in \"{$in->title}\", which should have ended on "
                    ."{$this->clock->words($ends)}.{$then}"
                : "{$aircraft->mark} is in \"{$in->title}\" until {$until}.{$then}";
        }

        return $stop === null ? "Nothing stops {$aircraft->mark} within twenty years." : $this->sentence(
            $aircraft->mark,
            (string) $aircraft->counters_as_of,
            $stop,
        );
    }

    /**
     * "QA-VFC can fly until Thu 14 May: propeller governor check, 41 flight hours from now."
     *
     * @param string $countedTo the day to which its counters are counted
     */
    public function sentence(string $mark, string $countedTo, StopView $stop): string
    {
        $counted = Day::parse($countedTo);
        $since = $this->clock->today()->number - $counted->number <= 1
            ? 'from now'
            : 'after its last count, of '.$this->clock->words($counted);
        $when = $this->clock->words(Day::parse($stop->date));
        if ($stop->kind === 'part') {
            return "{$mark} must not fly: its {$stop->title} is {$stop->detail}.";
        }
        if ($stop->kind === 'found') {
            return "{$mark} must not fly: {$stop->title} is open, {$stop->detail}.";
        }
        if ($stop->kind === 'deferral' && $stop->days >= 0) {
            return "{$mark} can fly until {$when}: its deferral of {$stop->title} runs out "
                .Words::fromNow($stop->days).'.';
        }
        $left = $stop->kind === 'usage' ? "{$stop->detail} {$since}" : Words::fromNow($stop->days);

        return $stop->days < 0
            ? "{$mark} must not fly: its limit passed on {$when}, "
            .($stop->kind === 'deferral' ? "its deferral of {$stop->title}" : lcfirst($stop->title)).'.'
            : "{$mark} can fly until {$when}: ".lcfirst($stop->title).", {$left}.";
    }

    /** What stops an aircraft, in words. */
    public function stop(Stop $driver, DuePage $page): StopView
    {
        $aircraft = $page->aircraft;
        [$of, $key] = explode(':', $driver->id, 2);
        [$kind, $title, $detail, $item] = match ($of) {
            'deferral' => $this->deferral($aircraft->deferrals->firstOrFail('id', (int) $key)),
            'damage' => $this->damage($aircraft->damages->firstOrFail('id', (int) $key)),
            'finding' => $this->finding($aircraft->findings->firstOrFail('id', (int) $key)),
            'part' => $this->part($aircraft->emptied->firstOrFail('id', (int) $key)),
            'bottle' => $this->bottle($aircraft->tenures->firstOrFail('component_id', (int) $key)->component),
            default => $this->item(
                $driver->kind,
                collect($page->rows)->first(static fn(DueRow $r): bool => $r->stop() === $driver->id),
            ),
        };

        return new StopView(
            $kind,
            $title,
            $detail,
            (string) $driver->last,
            $this->clock->today()->daysUntil($driver->last),
            $item,
        );
    }

    /** @return array{string, string, string, null} */
    private function deferral(Deferral $deferral): array
    {
        return ['deferral', $deferral->listedItem->title, "deferred, category {$deferral->category}", null];
    }

    /** @return array{string, string, string, null} */
    private function damage(Damage $damage): array
    {
        return [
            'calendar',
            "Look again at {$damage->number}, {$damage->kind}",
            $damage->place,
            null,
        ];
    }

    /** @return array{string, string, string, null} */
    private function part(ComponentTenure $gone): array
    {
        return [
            'part',
            $gone->position,
            'missing, taken off on '.$this->clock->words($gone->to_date),
            null,
        ];
    }

    /** @return array{string, string, string, null} */
    private function finding(Finding $open): array
    {
        return ['found', "finding {$open->number}", $open->place, null];
    }

    /** @return array{string, string, string, null} */
    private function bottle(Component $bottle): array
    {
        $trend = $bottle->trend();

        return [
            'bottle',
            BottleWords::title($bottle),
            Words::number($trend?->latest() ?? 0, 0).' '.($bottle->gauge['unit'] ?? '').' at the last reading',
            null,
        ];
    }

    /** @return array{string, string, string, string} */
    private function item(string $kind, ?DueRow $row): array
    {
        return [$kind, (string) $row?->title(), $this->remaining($row?->due->driver), (string) $row?->key()];
    }
}
