<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Now\AircraftFile;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\BottleDue;
use Jorvel\Core\Fleet\Outlook;

/** One aircraft's items, bottles, deferrals and reach, each with the rows that name it. */
final readonly class DuePage
{
    /** @var list<DueRow> in the programme's order */
    public array $rows;

    public Aircraft $aircraft;

    public function __construct(public AircraftFile $file, public Outlook $outlook)
    {
        $this->aircraft = $file->aircraft;
        $rows = [];
        foreach ($file->rows as $i => [$item, $tenure]) {
            $rows[] = new DueRow($item, $tenure, $outlook->items[$i]);
        }
        $this->rows = $rows;
    }

    /** @return Collection<int, DueRow> the earliest first */
    public function items(): Collection
    {
        $rows = $this->rows;
        usort(
            $rows,
            static fn(DueRow $a, DueRow $b): int
                => ($a->due->forecast->number ?? PHP_INT_MAX) <=> ($b->due->forecast->number ?? PHP_INT_MAX),
        );

        return collect($rows);
    }

    /** Its next phase: of the phase items that a counter drives, the one with the least left. */
    public function nextPhase(string $unit): ?DueRow
    {
        return $this->items()
            ->filter(static fn(DueRow $r): bool => $r->of->item->phase && $r->due->driver?->unit === $unit)
            ->sortBy(static fn(DueRow $r): float => $r->due->driver->remaining ?? INF)
            ->first();
    }

    /** @return list<array{ComponentTenure, BottleDue}> the bottles that fall, the first first */
    public function bottles(): array
    {
        $on = $this->aircraft->tenures->keyBy('component_id');

        return array_map(
            static fn(BottleDue $b): array => [$on[(int) $b->bottle->componentId], $b],
            $this->outlook->bottles,
        );
    }
}
