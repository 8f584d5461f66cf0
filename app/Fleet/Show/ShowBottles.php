<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Component;
use App\Fleet\Model\PressureReading;
use App\Fleet\Show\View\BottlesView;
use App\Fleet\Show\View\BottleView;
use App\Fleet\Show\View\GaugeLine;
use App\Fleet\Show\View\GaugePoint;
use App\Fleet\Show\View\GaugeRow;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Fleet\DepletionResult;
use Jorvel\Core\Shared\Day;

/** Bottles and accumulators with their trends, by which must be changed first. */
final readonly class ShowBottles
{
    public function __construct(private Clock $clock) {}

    public function all(): BottlesView
    {
        $bottles = Component::with(['readings', 'log.person', 'tenure.craft'])->whereNotNull('gauge')
            ->whereHas('tenure')
            ->orderBy('id')
            ->get()
            ->map($this->one(...))
            ->sortBy(static fn(BottleView $b): array => [$b->days ?? PHP_INT_MAX, $b->leak === true ? 0 : 1])->values();
        $first = $bottles->first();
        $leaks = $bottles->where('leak', true)->count();
        $sentence = match (true) {
            $first === null => 'No bottle or accumulator is fitted to an aircraft.',
            $first->date === null => 'No bottle falls towards its minimum.',
            $first->days < 0 => "{$first->mark} first: its ".lcfirst($first->name).' is below its minimum by its '
                .'trend since '.$this->clock->words(Day::parse($first->date)).'.',
            default => "{$first->mark} first: its ".lcfirst($first->name).' must be '
                .'changed by '.$this->clock->words(Day::parse($first->date)).', '.Words::fromNow((int) $first->days)
                    .'.',
        };
        if ($leaks > 0) {
            $sentence .= $leaks === 1
                ? ' One falls more than twice as fast as use takes.'
                : " {$leaks} fall more than twice as fast as use takes.";
        }

        return new BottlesView($sentence, (string) $this->clock->today(), $bottles->all());
    }

    /** Load `readings`, `log.person` and `tenure.craft` first. */
    public function one(Component $bottle): BottleView
    {
        $today = $this->clock->today();
        $trend = $bottle->trend();
        $gauge = $bottle->gauge ?? ['unit' => '', 'minimum' => 0.0];
        $days = $trend?->crossesOn === null ? null : $today->daysUntil($trend->crossesOn);

        return new BottleView(
            $bottle->id,
            $bottle->name(),
            $bottle->part_no,
            $bottle->tenure->craft->mark ?? '',
            $bottle->tenure->position ?? '',
            $gauge['unit'],
            (float) $gauge['minimum'],
            (float) ($gauge['reference'] ?? 21),
            $trend?->state($today, (int) config('jorvel.warn_days')) ?? 'waiting',
            $this->said($trend, $days, $gauge),
            $trend?->crossesOn === null ? null : (string) $trend->crossesOn,
            $days,
            $trend?->latest(),
            $trend?->line->slope,
            isset($gauge['expected']) ? (float) $gauge['expected'] : null,
            $trend?->leakSuspect,
            array_map(
                static fn(array $p): GaugePoint => new GaugePoint((string) $p[0], $today->daysUntil($p[0]), $p[1]),
                $trend->points ?? [],
            ),
            $trend === null ? [] : $this->line($trend, $today),
            array_values($bottle->log->map(static fn(PressureReading $r): GaugeRow => new GaugeRow(
                $r->id,
                (string) $r->date,
                $r->pressure,
                $r->temp_c,
                $r->replaced,
                $r->current,
                $r->person?->name,
                $r->reason,
            ))->all()),
        );
    }

    /** @param array{unit: string, minimum: float, expected?: float, reference?: float} $gauge */
    private function said(?DepletionResult $trend, ?int $days, array $gauge): string
    {
        $unit = $gauge['unit'];
        if ($trend === null) {
            return 'Fewer than three readings on different days since it was changed: no trend yet.';
        }
        $slope = Words::number(abs($trend->line->slope), 2);
        $fall = $trend->line->slope < 0 ? "falls {$slope} {$unit} a day" : 'does not fall';
        $usual = Words::number((float) ($gauge['expected'] ?? 0), 2);
        $cause = match ($trend->leakSuspect) {
            true => ": more than twice the {$usual} that use takes, look for a leak",
            false => $trend->line->slope < 0 ? ", within twice the {$usual} that use takes" : '',
            null => '',
        };

        return ucfirst($fall).$cause
            .match (true) {
                $days === null => '.',
                $days < 0 => '; by the line it is below its minimum.',
                default => '; at its minimum '.Words::fromNow($days).'.',
            };
    }

    /** @return list<GaugeLine> from the first reading to where it meets the minimum, or a little beyond today */
    private function line(DepletionResult $trend, Day $today): array
    {
        $from = $trend->points[0][0];
        $to = $trend->crossesOn ?? $today->plusDays(30);
        $to = $to->number < $from->number ? $today : ($to->number > $today->number + 400 ? $today->plusDays(400) : $to);

        return [
            new GaugeLine($today->daysUntil($from), $trend->on($from)),
            new GaugeLine($today->daysUntil($to), $trend->on($to)),
        ];
    }
}
