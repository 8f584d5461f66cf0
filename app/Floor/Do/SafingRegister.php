<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Now\CardFile;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Now\DeviceOn;

/** What is fitted to an aircraft now, and which step takes each device off again. */
final class SafingRegister
{
    /** @return Collection<int, SafingDevice> still fitted, the oldest first */
    public function of(Aircraft $aircraft): Collection
    {
        return SafingDevice::with(['card', 'fitter', 'carrier'])->where('aircraft_id', $aircraft->id)
            ->whereNull('removed_at')
            ->orderBy('fitted_at')
            ->orderBy('id')
            ->get();
    }

    /**
     * The device that a step takes off, or the same one fitted again since by another card; null when it is not in the
     * register.
     */
    public function removedBy(Step $step): ?SafingDevice
    {
        if (isset($step->spec['carried'])) {
            return SafingDevice::where('aircraft_id', $step->card->aircraft_id)->whereNull('removed_at')
                ->find($step->spec['carried']);
        }
        $fitter = isset($step->spec['made'])
            ? Card::with('steps')
                ->where('visit_id', $step->card->visit_id)
                ->where('makes', $step->spec['made'])
                ->first()
            : $step->card;
        $fitted = $fitter?->steps->firstWhere('no', $step->spec['of']);
        if ($fitted === null) {
            return null;
        }
        $now = SafingDevice::where('aircraft_id', $step->card->aircraft_id)->whereNull('removed_at')->get();

        return $now->firstWhere('fitted_step_id', $fitted->id) ?? $now->first(
            static fn(SafingDevice $d): bool => self::same($d, $fitted),
        );
    }

    /** @return array<int, Step> the steps that are to take off what is fitted at a card's aircraft, by device */
    public function removersOf(CardFile $file): array
    {
        $ids = array_map(static fn(DeviceOn $d): int => (int) $d->id, $file->now->on->devices);

        return $ids === [] ? [] : $this->removers(SafingDevice::with('card')->whereIn('id', $ids)->get());
    }

    /**
     * The steps that are to take devices off, each with its card.
     *
     * @param Collection<int, SafingDevice> $devices with `card`
     *
     * @return array<int, Step> by device
     */
    public function removers(Collection $devices): array
    {
        if ($devices->isEmpty()) {
            return [];
        }
        $removers = [];
        $carried = $devices->whereNotNull('carried_by');
        // What a deferral carries comes off by its closure, on whatever visit.
        foreach ($carried->isEmpty() ? [] : Step::with('card')->where('kind', 'safing_remove')
            ->where('state', Step::OPEN)
            ->whereIn('spec->carried', $carried->modelKeys())->get() as $step) {
            $removers[$step->spec['carried']] = $step;
        }
        $visits = $devices->pluck('card.visit_id')->unique();
        $kinds = ['safing_fit', 'safing_remove'];
        $cards = Card::whereIn('visit_id', $visits)->whereIn(
            'id',
            DB::table('steps')->whereIn('kind', $kinds)->select('card_id'),
        )
            ->get()
            ->keyBy('id');
        $all = Step::whereIn('kind', $kinds)->whereIn('card_id', $cards->keys())
            ->orderBy('card_id')
            ->orderBy('no')
            ->get();
        $all->each(static fn(Step $s) => $s->setRelation('card', $cards->get($s->card_id)));
        $steps = $all->where('kind', 'safing_remove')->where('state', Step::OPEN);
        foreach ($devices->whereNull('carried_by') as $device) {
            // On the same card first; of several, the one that comes first.
            $remover = $steps->sortBy(static fn(Step $s): array => [
                $s->card_id === $device->card_id ? 0 : 1,
                $s->card_id,
                $s->no,
            ])
                ->first(static function (Step $s) use ($device, $cards, $all): bool {
                    $fitter = isset($s->spec['made']) ? $cards->first(
                        static fn(Card $c): bool
                            => $c->visit_id === $s->card->visit_id && $c->makes === $s->spec['made'],
                    )?->id : ($s->card_id === $device->card_id ? $device->card_id : null);
                    $fitted = $all->first(
                        static fn(Step $f): bool => $f->card_id === $fitter && $f->no === ($s->spec['of'] ?? 0),
                    );

                    return $fitted !== null && $s->card->visit_id === $device->card->visit_id
                        && ($fitted->id === $device->fitted_step_id || self::same($device, $fitted));
                });
            if ($remover !== null) {
                $removers[$device->id] = $remover;
            }
        }

        return $removers;
    }

    private static function same(SafingDevice $device, Step $fitted): bool
    {
        return $device->kind === $fitted->spec['device'] && $device->place === $fitted->spec['place'];
    }
}
