<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Stores\Do\Goods;
use App\Stores\Model\CardPart;
use App\Stores\Model\FittedPart;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use Jorvel\Core\Stores\PartFit;

/** A part goes on: the right one for this tail, within its shelf life, and never a seal twice. */
final readonly class FitPart implements StepKind
{
    public function __construct(private Clock $clock, private Goods $goods) {}

    public function answers(): array
    {
        return ['fit'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $part = Part::firstWhere('number', $spec['part']) ?? throw Refused::because(
            "There is no part {$spec['part']} in the store.",
        );
        $again = ($in->entries['again'] ?? '') === 'yes';
        $batch = $again ? null : $this->batch($part, trim($in->entries['batch'] ?? ''));
        $this->requireCare($spec, $in);
        $refused = PartFit::refusals(
            $part->effectivity,
            $step->card->aircraft->effectivity,
            $batch?->expires === null ? null : $batch->expires,
            $this->clock->today(),
            $part->one_time,
            $again,
            (int) $spec['quantity'],
            $batch->quantity ?? 0,
        );
        if ($refused !== []) {
            throw Refused::because(implode(
                ' ',
                array_map(fn(string $code): string => $this->said($code, $part, $batch, $step), $refused),
            ).' Nothing was fitted.');
        }
        $now = (string) $this->clock->now();

        return Worked::done(
            ['part' => $part->number, 'batch' => $batch?->batch, 'quantity' => $spec['quantity'], 'again' => $again],
            fn() => $batch === null ? null : $this->take($by, $step, $part, $batch, (int) $spec['quantity']),
            static fn() => FittedPart::create([
                'part_id' => $part->id, 'batch_id' => $batch?->id, 'card_id' => $step->card_id, 'step_id' => $step->id,
                'aircraft_id' => $step->card->aircraft_id, 'person_id' => $by->id,
                'quantity' => $spec['quantity'], 'position' => $spec['position'], 'again' => $again, 'at' => $now,
            ]),
        );
    }

    private function take(Person $by, Step $step, Part $part, PartBatch $batch, int $quantity): void
    {
        $this->goods->take($by, $batch, $quantity, "card {$step->card->number}, step {$step->no}");
        CardPart::where(['card_id' => $step->card_id, 'part_id' => $part->id])->where('quantity', '<=', $quantity)
            ->delete();
        CardPart::where(['card_id' => $step->card_id, 'part_id' => $part->id])->decrement('quantity', $quantity);
    }

    private function batch(Part $part, string $code): PartBatch
    {
        $batch = PartBatch::firstWhere('batch', $code) ?? throw Refused::because(
            $code === ''
                ? "Enter the batch on the label of {$part->number}."
                : "There is no batch {$code} in the store.",
        );
        if ($batch->part_id !== $part->id) {
            throw Refused::because(
                "Batch {$code} is {$batch->part->number} {$batch->part->title}; this "
                    ."step needs {$part->number} {$part->title}. Nothing was fitted.",
            );
        }

        return $batch;
    }

    /** @param array<string, mixed> $spec */
    private function requireCare(array $spec, StepInput $in): void
    {
        if (($spec['seat'] ?? false) === true && ($in->entries['seat'] ?? '') !== 'yes') {
            throw Refused::because('Look at seat and groove before it goes on, and say so. Nothing was fitted.');
        }
        if (isset($spec['lubricate']) && ($in->entries['lubricated'] ?? '') !== 'yes') {
            throw Refused::because(
                "Lubricate with {$spec['lubricate']}, as the manual says, and say so. Nothing was fitted.",
            );
        }
    }

    private function said(string $code, Part $part, ?PartBatch $batch, Step $step): string
    {
        return match ($code) {
            'not_effective' => "{$part->number} fits ".implode(', ', $part->effectivity ?? [])
                ."; {$step->card->aircraft->mark} is {$step->card->aircraft->effectivity}.",
            'shelf_life' => "The shelf life of batch {$batch?->batch} ran out on {$batch?->expires}.",
            'used_before' => "{$part->title} is never used twice: take a new one.",
            default => "Batch {$batch?->batch} holds {$batch?->quantity}; the step needs {$step->spec['quantity']}.",
        };
    }
}
