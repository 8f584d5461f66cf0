<?php

declare(strict_types=1);

namespace App\Floor;

use App\Fleet\Aircraft;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What is fitted to an aircraft now, and which step takes each device off again. */
final class SafingRegister
{
    /** @return Collection<int, SafingDevice> still fitted, the oldest first */
    public function of(Aircraft $aircraft): Collection
    {
        return SafingDevice::with(['card.steps', 'fitter', 'carrier'])->where('aircraft_id', $aircraft->id)->whereNull('removed_at')->orderBy('fitted_at')->orderBy('id')->get();
    }

    /** The device that a step takes off; null when it is not in the register. */
    public function removedBy(Step $step): ?SafingDevice
    {
        $fitter = isset($step->spec['made']) ? Card::with('steps')->where('visit_id', $step->card->visit_id)->where('makes', $step->spec['made'])->first() : $step->card;
        $fitted = $fitter?->steps->firstWhere('no', $step->spec['of']);

        return SafingDevice::where('fitted_step_id', $fitted?->id)->whereNull('removed_at')->first();
    }

    /**
     * The steps that are to take devices off, each with its card.
     *
     * @param Collection<int, SafingDevice> $devices with `card.steps`
     *
     * @return array<int, Step> by device
     */
    public function removers(Collection $devices): array
    {
        $visits = $devices->pluck('card.visit_id')->unique();
        $steps = Step::with('card')->where('kind', 'safing_remove')->where('state', Step::OPEN)->whereHas('card', static fn(Builder $q) => $q->whereIn('visit_id', $visits))->get();
        $removers = [];
        foreach ($devices as $device) {
            $no = $device->card->steps->firstWhere('id', $device->fitted_step_id)?->no;
            $remover = $steps->first(static fn(Step $s): bool => $s->spec['of'] === $no && (isset($s->spec['made'])
                ? $s->card->visit_id === $device->card->visit_id && $s->spec['made'] === $device->card->makes
                : $s->card_id === $device->card_id));
            if ($remover !== null) {
                $removers[$device->id] = $remover;
            }
        }

        return $removers;
    }
}
