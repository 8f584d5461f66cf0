<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Show\View\StaggerRoom;
use App\Fleet\Show\View\StaggerRow;
use App\Fleet\Show\View\StaggerView;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\Stagger;
use Jorvel\Core\Fleet\StaggerAircraft;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Phased fleets against their straight lines, with the hours that bring each back onto its own. */
final readonly class ShowStagger
{
    private const STEP = 0.5;

    public function __construct(private DueBook $book, private Clock $clock) {}

    /**
     * @param int $weeks how many coming weeks to propose hours for, 1 to 12
     * @param array<string, float> $tasks hours a week, by fleet code, where another than the fleet's own is asked about
     *
     * @throws Refused when the hours asked for cannot be
     */
    public function all(int $weeks = 6, array $tasks = []): StaggerRoom
    {
        $aircraft = $this->book->query()
            ->whereHas('type', static fn($q) => $q->whereNotNull('phase'))
            ->orderBy('mark')
            ->get();
        $this->book->read($aircraft);
        $fleets = array_values($aircraft->groupBy(static fn(Aircraft $a): string => "{$a->fleet_id}/{$a->type_id}")
            ->map(fn(Collection $group): StaggerView => $this->fleet($group, $weeks, $tasks))->all());
        usort(
            $fleets,
            static fn(StaggerView $a, StaggerView $b): int => $b->spread / $b->interval <=> $a->spread / $a->interval,
        );

        return new StaggerRoom($fleets === [] ? 'No fleet here is worked in phases.' : $fleets[0]->sentence, $fleets);
    }

    /**
     * @param Collection<int, Aircraft> $group
     * @param array<string, float> $tasks
     */
    private function fleet(Collection $group, int $weeks, array $tasks): StaggerView
    {
        $one = $group->firstOrFail();
        $phase = $one->type->phase ?? ['unit' => 'fh', 'interval' => 1.0, 'most' => 0.0];
        $unit = $phase['unit'];
        $next = $group->mapWithKeys(fn(Aircraft $a): array => [$a->mark => $this->next($a, $unit)]);
        $mean = $group->sum(fn(Aircraft $a): float => $this->aWeek($a, $unit));
        $task = round(($tasks[$one->fleet->code] ?? $one->fleet->task ?? $mean) / self::STEP) * self::STEP;
        try {
            $result = Stagger::propose(
                array_values($group->map(fn(Aircraft $a): StaggerAircraft => $this->craft(
                    $a,
                    $next[$a->mark],
                    $weeks,
                    (float) $phase['most'],
                ))->all()),
                array_fill(0, $weeks, $task),
                (float) $phase['interval'],
                0.0,
                self::STEP,
            );
        } catch (InputError $e) {
            throw Refused::because("{$one->fleet->name}: {$e->getMessage()}");
        }
        $then = array_column($result->then->places, null, 0);
        $crafts = $group->keyBy('mark');
        $rows = array_map(function (array $p) use ($result, $then, $crafts, $next, $weeks, $unit): StaggerRow {
            [$mark, $left, $target] = $p;
            $craft = $crafts[$mark];
            $total = (float) array_sum($result->hours[$mark]);
            $planned = $this->aWeek($craft, $unit) * $weeks;

            return new StaggerRow(
                $mark,
                $next[$mark]?->of->item->title ?? 'no phase',
                $left,
                $target,
                $left - $target,
                $next[$mark]?->due->forecast === null ? null : (string) $next[$mark]->due->forecast,
                $result->hours[$mark],
                $this->notes($craft, $next[$mark], $weeks),
                $this->unplanned($craft, $next[$mark], $weeks),
                $total,
                round($planned, 1),
                self::advice($total - $planned),
                $then[$mark][1],
                $then[$mark][2],
                $result->now->keepsPlace($left - $target) ? 'clear' : 'watch',
            );
        }, $result->now->places);

        return new StaggerView(
            $one->fleet->code,
            $one->fleet->name,
            $one->type->code,
            (float) $phase['interval'],
            $this->sentence(
                $one,
                $rows,
                $result->now->spread(),
                $result->then->spread(),
                $weeks,
                array_sum($result->short),
            ),
            $result->now->spread(),
            $result->then->spread(),
            $result->tasks,
            $result->short,
            array_map(fn(int $w): string => (string) $this->clock->today()->plusDays(1 + 7 * $w), range(0, $weeks - 1)),
            $rows,
        );
    }

    /** @param list<StaggerRow> $rows */
    private function sentence(Aircraft $one, array $rows, float $now, float $then, int $weeks, float $short): string
    {
        usort($rows, static fn(StaggerRow $a, StaggerRow $b): int => abs($b->distance) <=> abs($a->distance));
        $worst = $rows[0];
        $off = Words::number(abs($worst->distance), 0);
        $words = $now < 0.1 * $one->type->phase['interval'] / count($rows)
            ? "{$one->fleet->name} is on its line"
            : "{$one->fleet->name} is {$this->hours($now)} off its line, {$worst->mark} the most with {$off} h too "
            .($worst->distance > 0 ? 'many' : 'few').' left';

        $words .= $then < $now
            ? "; the hours below bring it to {$this->hours($then)} in {$weeks} weeks"
            : "; within its task it cannot come nearer in {$weeks} weeks";

        return $words.($short > 0 ? ", {$this->hours($short)} of the task cannot be flown" : '').'.';
    }

    private function hours(float $hours): string
    {
        return Words::number($hours, 1).' h';
    }

    private static function advice(float $more): string
    {
        return match (true) {
            $more >= 1 => Words::number($more, 0).' h more than planned',
            $more <= -1 => Words::number(-$more, 0).' h less than planned',
            default => 'as planned',
        };
    }

    private function next(Aircraft $a, string $unit): ?DueRow
    {
        return $this->book->page($a, $a->type->items->where('phase', true)->values())->nextPhase($unit);
    }

    private function aWeek(Aircraft $a, string $unit): float
    {
        return array_sum($a->week[$unit] ?? []) ?: 7.0 * ($a->rates[$unit] ?? 0.0);
    }

    private function craft(Aircraft $a, ?DueRow $next, int $weeks, float $most): StaggerAircraft
    {
        $stands = [];
        $phase = null;
        foreach ($a->visits as $visit) {
            [$first, $last] = [$this->week($visit->start), $this->week($visit->end)];
            if ($last < 0 || $first >= $weeks) {
                continue;
            }
            if ($phase === null && $next !== null && $this->works($visit, $next)) {
                $phase = [max(0, $first), max(0, $last)];
            } else {
                array_push($stands, ...$this->standing($visit, $weeks));
            }
        }

        $phase ??= $this->assumed($next, $weeks);

        return StaggerAircraft::of(
            $a->mark,
            $next?->due->driver->remaining ?? 0.0,
            min(168.0, $most),
            0.0,
            array_values(array_unique($stands)),
            $phase[0] ?? null,
            $phase[1] ?? null,
        );
    }

    /**
     * A phase that falls into the coming weeks and is in no visit yet is taken to be worked in the week it falls due.
     *
     * @return array{int, int}|null
     */
    private function assumed(?DueRow $next, int $weeks): ?array
    {
        $week = $next?->due->forecast === null ? $weeks : max(0, $this->week($next->due->forecast));

        return $week < $weeks ? [$week, $week] : null;
    }

    private function works(Visit $visit, DueRow $next): bool
    {
        return $visit->cards->contains(
            static fn($c): bool => ItemNow::keyOf($c->item_id, $c->component_id) === $next->key(),
        );
    }

    /** The coming week, from 0, in which a day lies; weeks begin tomorrow. */
    private function week(Day $day): int
    {
        return (int) floor(($this->clock->today()->daysUntil($day) - 1) / 7);
    }

    /** @return list<int> the weeks of which a visit takes four days or more */
    private function standing(Visit $visit, int $weeks): array
    {
        $today = $this->clock->today();
        [$from, $to] = [$today->daysUntil($visit->start), $today->daysUntil($visit->end)];

        return array_values(array_filter(
            range(0, $weeks - 1),
            static fn(int $w): bool => min($to, 7 * $w + 7) - max($from, 7 * $w + 1) + 1 >= 4,
        ));
    }

    /** The week in which its phase is taken to be worked, since no visit takes it. */
    private function unplanned(Aircraft $a, ?DueRow $next, int $weeks): ?int
    {
        return $next === null || $a->visits->contains(
            fn(Visit $v): bool => $this->works($v, $next),
        ) ? null : ($this->assumed($next, $weeks)[0] ?? null);
    }

    /** @return list<string> what stands against flying, by week; empty where nothing does */
    private function notes(Aircraft $a, ?DueRow $next, int $weeks): array
    {
        $notes = array_fill(0, $weeks, '');
        $unplanned = $this->unplanned($a, $next, $weeks);
        if ($unplanned !== null) {
            $notes[$unplanned] = "{$next?->of->item->title}, not planned yet";
        }
        foreach ($a->visits as $visit) {
            for ($w = max(0, $this->week($visit->start)); $w <= min($weeks - 1, $this->week($visit->end)); $w++) {
                $notes[$w] = $visit->title;
            }
        }

        return $notes;
    }
}
