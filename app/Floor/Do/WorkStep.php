<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Do\Work\StepKinds;
use App\Floor\FloorWords;
use App\Floor\Model\ActingRow;
use App\Floor\Model\Card;
use App\Floor\Model\Presence;
use App\Floor\Model\Reading;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Do\Goods;
use App\Stores\Model\FittedPart;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Floor\Lasting;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Floor\TakeBack;
use Jorvel\Core\Now\StepNow;

/**
 * Works one step of a card, as its kind is worked, breaks off what runs, or takes a confirmation back.
 *
 * Every change counts the card's version up by one; whoever comes with an older one is refused and shown the card as it
 * is.
 */
final readonly class WorkStep
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private StepKinds $kinds,
        private Standings $standings,
        private FitToWork $fit,
        private CommitOnFloor $commit,
        private Goods $goods,
    ) {}

    /**
     * @throws Refused with what stands in the way
     */
    public function __invoke(Person $by, int $cardId, int $no, StepInput $in): CardFile
    {
        $by->loadMissing('qualifications');

        return ($this->commit)($cardId, function (CardFile $file) use ($by, $no, $in): Closure {
            $file->requireVersion($in->version);
            $this->requireWorkable($file, $by);
            $step = $file->step($no);
            $writes = match (true) {
                $in->do === 'take_back' => $this->takeBack($by, $file, $step, $in->note),
                $in->do === 'stop' => $this->breakOff($by, $file, $step, $in->note),
                default => $this->work($by, $file, $step, $in),
            };

            return fn() => $this->write($by, $file, $writes);
        });
    }

    /** @param list<Closure(): mixed> $writes */
    private function write(Person $by, CardFile $file, array $writes): void
    {
        $card = $file->card;
        $now = (string) $this->clock->now();
        foreach ($writes as $write) {
            $write();
        }
        $card->state = Card::IN_WORK;
        $card->begun_at ??= $now;
        $card->addHand($by->id, $now);
        Presence::come($by->id, $card->id, $now);
        if ($card->visit->state === Visit::PLANNED) {
            $card->visit->update(['state' => Visit::IN_WORK]);
        }
    }

    private function requireWorkable(CardFile $file, Person $by): void
    {
        $why = NotNow::toWork($file->now);
        if ($why !== null) {
            throw Refused::because(FloorWords::notNow($why, $file->card, $this->clock));
        }
        $this->fit->requireFit($by, $file->card);
        $this->standings->requireQuiet($by, $file);
    }

    /** @return list<Closure(): mixed> */
    private function work(Person $by, CardFile $file, Step $step, StepInput $in): array
    {
        $again = $in->do === 'call' && $step->kind === 'rollcall';
        if ($step->state === Step::DONE && ! $again) {
            throw Refused::because("Step {$step->no} is already done. Take it back first if it was wrong.");
        }
        $before = StepOrder::blocking($file->now->order(), $step->no);
        if ($before !== null) {
            throw Refused::because("Step {$before} comes first: this card is worked in order.");
        }
        $kind = $this->kinds->of($step->kind);
        if (! in_array($in->do, $kind->answers(), true)) {
            throw Refused::because("Step {$step->no} ({$step->kind}) cannot be answered with \"{$in->do}\".");
        }
        $this->standings->requireFree($by, $file, $step);
        $worked = $kind->ask($by, $step, $in);
        $now = (string) $this->clock->now();
        $writes = [...$worked->writes, ...$this->acting($by, $file, $step, $in->do, $worked, $now)];
        if ($worked->result !== null) {
            $writes[] = static fn() => $step->fill([
                'state' => Step::DONE,
                'result' => $worked->result,
                'done_by' => $by->id,
                'done_at' => $now,
            ])
                ->save();
            $writes[] = fn() => $this->records->write(
                $by,
                'step.done',
                "card:{$step->card_id}",
                ['step' => $step->no, 'kind' => $step->kind, ...$worked->result],
            );
        }

        return $writes;
    }

    /**
     * What it does to a system stands for the whole aircraft from the moment it begins until it is ended.
     *
     * @return list<Closure(): mixed>
     */
    private function acting(Person $by, CardFile $file, Step $step, string $do, Worked $worked, string $now): array
    {
        $is = LoadCard::step($step);
        $writes = [];
        if ($is->ends !== [] && $worked->result !== null) {
            $writes[] = static fn() => self::end(
                $file,
                $by,
                $now,
                static fn(ActingRow $a): bool => array_intersect($a->systems, $is->ends) !== [],
            );
        }
        if ($is->acts === null) {
            return $writes;
        }
        $of = static fn(ActingRow $a): bool => $a->step_id === $step->id;
        if ($do === 'start') {
            return [
                ...$writes,
                static fn() => self::end($file, $by, $now, $of),
                static fn() => self::begin($file, $by, $step, $is, true, $now),
            ];
        }
        $over = $worked->result !== null || ($step->started_at !== null && $step->kind === 'test');
        if (! $over) {
            return $writes;
        }
        $writes[] = static fn() => self::end($file, $by, $now, $of);
        if (Lasting::after($file->now, $is)) {
            $writes[] = static fn() => self::begin($file, $by, $step, $is, false, $now);
        }

        return $writes;
    }

    private static function begin(CardFile $file, Person $by, Step $step, StepNow $is, bool $running, string $now): void
    {
        ActingRow::create([
            'aircraft_id' => $file->card->aircraft_id, 'card_id' => $step->card_id, 'step_id' => $step->id,
            'how' => $is->acts?->how->value, 'systems' => $is->acts->systems ?? [],
            'running' => $running, 'begun_by' => $by->id, 'since' => $now,
        ]);
    }

    /** @param callable(ActingRow): bool $which */
    private static function end(CardFile $file, Person $by, string $now, callable $which): void
    {
        if ($file->now->on->actingOf($file->now->ref->id) !== []) {
            ActingRow::where('card_id', $file->card->id)->whereNull('ended_at')
                ->get()
                ->filter($which)
                ->each(static fn(ActingRow $a) => $a->update(['ended_at' => $now, 'ended_by' => $by->id]));
        }
    }

    /**
     * A hold or a test is broken off: what acted on the system is stopped, and the step stands as not begun.
     *
     * @return list<Closure(): mixed>
     */
    private function breakOff(Person $by, CardFile $file, Step $step, string $why): array
    {
        if ($step->state === Step::DONE || $step->started_at === null) {
            throw Refused::because("Step {$step->no} does not run; there is nothing to break off.");
        }
        if ($why === '') {
            throw Refused::because(
                'Say why it is broken off, and that the system is without power and pressure again. Nothing was '
                    .'changed.',
            );
        }
        $now = (string) $this->clock->now();

        return [
            static fn() => self::end($file, $by, $now, static fn(ActingRow $a): bool => $a->step_id === $step->id),
            static fn() => $step->fill(['started_at' => null])->save(),
            fn() => $this->records->write(
                $by,
                'step.broken_off',
                "card:{$step->card_id}",
                ['step' => $step->no, 'why' => $why],
            ),
        ];
    }

    /**
     * The first entry stays in the record; what was proven by the step, or rests on it, falls with it.
     *
     * @return list<Closure(): mixed>
     */
    private function takeBack(Person $by, CardFile $file, Step $step, string $why): array
    {
        if ($step->state !== Step::DONE) {
            throw Refused::because("Step {$step->no} is not done; there is nothing to take back.");
        }
        if ($step->kind === 'inspection') {
            throw Refused::because('An inspection stands until something that it looked at is taken back.');
        }
        if ($why === '') {
            throw Refused::because('Say why the step is taken back; the first entry stays in the record.');
        }
        $device = $this->device($step);
        $falls = $file->card->steps->whereIn('no', TakeBack::falls($file->now, $step->no))->values();
        $now = (string) $this->clock->now();
        $opened = [$step, ...$falls->all()];

        return [
            fn() => $this->partsOff($by, $step, $why),
            static fn() => Reading::whereIn('step_id', array_column($opened, 'id'))->update(['stands' => false]),
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
            static fn() => array_map(static fn(Step $s) => $s->open(), $opened),
            fn() => $this->records->write($by, 'step.taken_back', "card:{$step->card_id}", [
                'step' => $step->no, 'why' => $why,
                ...($device === null ? [] : ['device' => $device->id]),
                ...($falls->isEmpty() ? [] : ['fell' => $falls->pluck('no')->all()]),
            ]),
        ];
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
