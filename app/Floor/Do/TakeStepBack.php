<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Bench\Model\RigLesson;
use App\Crew\Model\Person;
use App\Floor\Do\Work\ExchangeUnit;
use App\Floor\Do\Work\FillIn;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Exchange;
use App\Floor\Model\Reading;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Now\CardFile;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Do\Goods;
use App\Stores\Model\FittedPart;
use Closure;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\TakeBack;

/**
 * Opens a done step: because its entry was wrong, or because the work is done once more. The first entry stays in the
 * record; what was proven by the step, or rests on it, falls with it.
 */
final readonly class TakeStepBack
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Goods $goods,
        private Disturb $disturb,
        private Gauges $gauges,
        private ExchangeUnit $exchange,
        private FillIn $filled,
        private Attempts $attempts,
    ) {}

    /**
     * @param bool $again it was done, and is done once more; else its entry was wrong
     *
     * @return list<Closure(): mixed>
     *
     * @throws Refused with what stands in the way
     */
    public function ask(Person $by, CardFile $file, Step $step, string $why, bool $again): array
    {
        if (! $step->settled()) {
            throw Refused::because("Step {$step->no} is not done; there is nothing to take back.");
        }
        if ($step->kind === 'inspection') {
            throw Refused::because('An inspection stands until something that it looked at is taken back.');
        }
        $this->attempts->requireOpen($file, $step);
        if ($again && $step->state !== Step::DONE) {
            throw Refused::because("Step {$step->no} was said not to apply. Take that back first.");
        }
        if ($why === '') {
            throw Refused::because($again
                ? 'Say why it is done once more; what was entered before stays in the record.'
                : 'Say why the step is taken back; the first entry stays in the record.');
        }
        $device = $this->device($step);
        $ofKind = $this->ofKind($by, $step, $why, $again);
        $falls = $file->card->steps->whereIn('no', TakeBack::falls($file->now, $step->no))->values();
        $now = (string) $this->clock->now();
        $opened = [$step, ...$falls->all()];
        $ids = array_column($opened, 'id');

        return [
            fn() => $this->partsOff($by, $step, $why),
            $ofKind,
            fn() => $this->gauges->takeBack($by, array_values(array_filter($opened, self::readsGauge(...))), $why),
            static fn() => Reading::whereIn('step_id', $ids)->update(['stands' => false]),
            static fn() => CircuitPoint::whereIn('step_id', $ids)->update(['stands' => false]),
            // What was learned of a linkage rests on its readings; done once more it was learned all the same.
            static fn() => $again ? null : RigLesson::whereIn('step_id', $ids)->update(['stands' => false]),
            static fn() => FittedPart::where('step_id', $step->id)->update(['stands' => false]),
            static fn() => $step->kind === 'safing_fit' ? $device?->update([
                'removed_by' => $by->id,
                'removed_at' => $now,
                'void_why' => $why,
            ]) : null,
            static fn()
                => $step->kind === 'safing_remove'
                    ? $device?->update(['removed_by' => null, 'removed_at' => null])
                    : null,
            fn() => $again
                ? $this->redo($by, $file, $step, $ids)
                : $this->disturb->void($file->card->aircraft_id, $ids),
            fn() => $this->attempts->fall($file->card, $opened),
            static fn() => array_map(static fn(Step $s) => $s->open(), $opened),
            fn() => $this->records->write(
                $by,
                $again ? 'step.again' : 'step.taken_back',
                "card:{$step->card_id}",
                [
                    'step' => $step->no, 'why' => $why,
                    ...($device === null ? [] : ['device' => $device->id]),
                    ...($falls->isEmpty() ? [] : ['fell' => $falls->pluck('no')->all()]),
                ],
            ),
        ];
    }

    /** What came on, off or in with it, by its kind. */
    private function ofKind(Person $by, Step $step, string $why, bool $again): Closure
    {
        return match (true) {
            $step->state !== Step::DONE => static fn() => null,
            $step->kind === 'exchange' => $again
                ? static fn() => Exchange::where('step_id', $step->id)->update(['stands' => false])
                : $this->exchange->back($by, $step, $why),
            $step->kind === 'consumable' => fn() => $this->filled->back($by, $step, $why),
            default => static fn() => null,
        };
    }

    private static function readsGauge(Step $step): bool
    {
        return isset($step->spec['reading']['gauge']);
    }

    /**
     * What the step joined or tightened was done, and is not as it was proven from this moment on; a proof that is only
     * taken once more touches nothing, and is missing itself.
     *
     * @param list<int> $ids of the steps that are opened
     */
    private function redo(Person $by, CardFile $file, Step $step, array $ids): void
    {
        $this->disturb->void($file->card->aircraft_id, array_values(array_diff($ids, [$step->id])));
        $handling = LoadCard::step($step)->handling;
        $touched = $step->kind === 'torque'
            ? [...$handling->joins ?? [], ...$handling?->proven() ?? []]
            : $handling->joins ?? [];
        foreach (array_unique($touched) as $what) {
            $this->disturb->redone($by, $file, $step, $what, self::provenOf($file, $what));
        }
        if ($touched === []) {
            $this->disturb->void($file->card->aircraft_id, [$step->id]);
        }
    }

    /** @return list<Proof> what the card proves of something */
    private static function provenOf(CardFile $file, string $what): array
    {
        $proofs = [];
        foreach ($file->now->steps as $step) {
            foreach ($step->handling->proves ?? [] as $p) {
                $proofs = in_array($what, $p['of'], true) ? [...$proofs, $p['by']] : $proofs;
            }
        }

        return $proofs;
    }

    /**
     * The device that a step put on the register, or took off it; the entry is corrected, and the register says what is
     * there.
     */
    private function device(Step $step): ?SafingDevice
    {
        if ($step->kind === 'safing_remove') {
            return $this->off(SafingDevice::find($step->result['device'] ?? 0));
        }
        $device = $step->kind === 'safing_fit'
            ? SafingDevice::where('fitted_step_id', $step->id)->whereNull('void_why')->orderByDesc('id')->first()
            : null;
        if ($device !== null && $device->removed_at !== null) {
            throw Refused::because(
                "{$device->kind}, {$device->place}, is taken off already. Take that step back first, if it is "
                    .'still on.',
            );
        }

        return $device;
    }

    /** What was taken off goes back on the register, unless its step has put another one there since. */
    private function off(?SafingDevice $device): ?SafingDevice
    {
        $again = $device !== null && SafingDevice::where('fitted_step_id', $device->fitted_step_id)
            ->whereNull('removed_at')
            ->exists();
        if ($again) {
            throw Refused::because(
                "{$device->kind}, {$device->place}, was fitted again since, and is on the register. Nothing was "
                    .'changed.',
            );
        }

        return $device;
    }

    /** A part comes off with its step, and the store is told; what is never used twice is spent. */
    private function partsOff(Person $by, Step $step, string $why): void
    {
        $standing = FittedPart::with(['part', 'batch'])->where(['step_id' => $step->id, 'stands' => true]);
        foreach ($standing->whereNotNull('batch_id')->get() as $fitted) {
            if ($fitted->batch !== null) {
                $this->goods->cameOff(
                    $by,
                    $fitted->batch,
                    "{$fitted->quantity} off again at card {$step->card->number}, step {$step->no}: {$why}"
                        .($fitted->part->one_time ? '; spent' : '; bring it back, or scrap it'),
                );
            }
        }
    }
}
