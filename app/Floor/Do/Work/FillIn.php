<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TellControllers;
use App\Floor\Do\Worked;
use App\Floor\FloorWords;
use App\Floor\Model\Filling;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Do\Goods;
use App\Stores\Model\PartBatch;
use Jorvel\Core\Fleet\Uplift;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Unit;
use Jorvel\Core\Stores\ProductFit;

/**
 * A fluid, a grease, a sealant or a gas goes into a system: of the specification that the step names, from a batch
 * within its shelf life, and never one that must not meet the system.
 */
final readonly class FillIn implements StepKind
{
    public function __construct(private Clock $clock, private Goods $goods, private TellControllers $tell) {}

    public function answers(): array
    {
        return ['fill'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        $quantity = Entered::parse($in->entry, $unit)->value;
        $drained = ($spec['drained'] ?? false) ? Entered::parse($in->entries['drained'] ?? '', $unit)->value : 0.0;
        $this->requireWithin($spec, $quantity, $drained, $unit);
        if ($quantity === 0.0) {
            return Worked::done(['quantity' => 0, 'unit' => $unit->value, 'drained' => $drained]);
        }
        $batch = PartBatch::with('part')->firstWhere('batch', trim($in->entries['batch'] ?? ''))
            ?? throw Refused::because("Choose the batch of {$spec['product']} that is on the can. Nothing was saved.");
        $stock = Unit::parse((string) ($batch->part->unit ?? $unit->value));
        $wanted = (int) ceil(round($unit->to($stock, $quantity), 6));
        $refused = ProductFit::refusals(
            $batch->part->specification,
            $spec['product'],
            $batch->part->never ?? [],
            $spec['system'],
            $batch->expires,
            $this->clock->today(),
            $wanted,
            $batch->quantity,
        );
        if ($refused !== []) {
            throw Refused::because(implode(
                ' ',
                array_map(
                    static fn(string $c): string => FloorWords::productRefused($c, $batch, $spec, $wanted),
                    $refused,
                ),
            ).' Nothing was put in.');
        }
        $uplift = $this->uplift($step, $quantity, $unit);
        $said = [
            'product' => $spec['product'], 'batch' => $batch->batch, 'title' => $batch->part->title,
            'quantity' => $quantity, 'unit' => $unit->value, 'drained' => $drained,
            ...$uplift?->rate === null ? [] : [
                'rate' => round($uplift->rate, 4), 'usual' => $uplift->usual === null ? null : round($uplift->usual, 4),
                'leak' => $uplift->leak,
            ],
        ];
        $flown = $step->card->aircraft->counters['fh'] ?? null;
        $now = (string) $this->clock->now();

        return Worked::done(
            $said,
            fn() => $this->goods->take($by, $batch, $wanted, "card {$step->card->number}, step {$step->no}"),
            static fn() => Filling::create([
                'step_id' => $step->id, 'card_id' => $step->card_id, 'aircraft_id' => $step->card->aircraft_id,
                'part_id' => $batch->part_id, 'batch_id' => $batch->id, 'system' => $spec['system'],
                'position' => $spec['each']['position'] ?? '',
                'quantity' => $quantity, 'drained' => $drained, 'unit' => $unit->value,
                'uplift' => $spec['uplift'] ?? false, 'flown' => $flown, 'person_id' => $by->id, 'at' => $now,
            ]),
            fn() => $uplift?->leak === true ? ($this->tell)(
                $by,
                $step->card,
                "{$step->card->aircraft->mark}: ".FloorWords::uplift($said, $spec),
            ) : null,
        );
    }

    /** What is put in beside what was put in before, in the hours flown since. */
    private function uplift(Step $step, float $quantity, Unit $unit): ?Uplift
    {
        $flown = $step->card->aircraft->counters['fh'] ?? null;
        if (! ($step->spec['uplift'] ?? false) || $flown === null) {
            return null;
        }

        return Uplift::of([
            ...Filling::uplifts(
                $step->card->aircraft_id,
                $step->spec['system'],
                $step->spec['each']['position'] ?? '',
                $unit,
            ),
            [(float) $flown, $quantity],
        ]);
    }

    /** @param array<string, mixed> $spec */
    private function requireWithin(array $spec, float $quantity, float $drained, Unit $unit): void
    {
        $least = isset($spec['min']) ? (float) $spec['min'] : null;
        $most = isset($spec['max']) ? (float) $spec['max'] : null;
        $why = ProductFit::amount($quantity, $drained, $least, $most);
        if ($why === 'below_nought') {
            throw Refused::because('A quantity is not below 0. Nothing was saved.');
        }
        if ($why !== null) {
            throw Refused::because(Words::number($quantity, 4)." {$unit->label()} is ".($why === 'too_little'
                ? 'less than '.Words::number((float) $least, 4)
                : 'more than '.Words::number((float) $most, 4))
                ." {$unit->label()}. Look at the level again, and why: if it is so, raise it as a finding. Nothing was "
                .'saved.');
        }
    }

    /** What was put in is in: the entry no longer stands, and the store is told. */
    public function back(Person $by, Step $step, string $why): void
    {
        foreach (Filling::with('batch')->where(['step_id' => $step->id, 'stands' => true])->get() as $filling) {
            $this->goods->cameOff(
                $by,
                $filling->batch,
                "{$filling->quantity} {$filling->unit} taken back at card {$step->card->number}, step {$step->no}: "
                    ."{$why}; count what is there",
            );
            $filling->update(['stands' => false]);
        }
    }
}
