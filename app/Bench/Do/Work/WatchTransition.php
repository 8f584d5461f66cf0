<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\ChangeOver;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * A transition is watched: the highest and the lowest that it shows count, what it settles at does not. By eye both are
 * typed; from a recording they are found.
 */
final readonly class WatchTransition implements StepKind
{
    public function __construct(private TakeReading $readings, private TestSamples $samples) {}

    public function answers(): array
    {
        return ['watch', 'samples'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        $reference = self::reference($step, $spec['reference']);
        if ($reference === null) {
            throw Refused::because('Record the reference first. Nothing was saved.');
        }
        if ($in->do === 'samples') {
            [$is, $reference] = $this->samples->change($step);
        } else {
            $is = $this->seen($step, $in, $reference, $unit);
        }
        if ($is->verdict === Verdict::Pass && $is->unusual && isset($spec['usual']) && $in->note === '') {
            throw Refused::because('Legal, and unusual: '.self::points($is->excursion, $unit)
                .' lies beyond the usual '.Words::number((float) $spec['usual'], 3).' '.$unit->label()
                .'. Say in a few words what you think of it. Nothing was saved.');
        }
        $result = [
            'reference' => $reference, 'unit' => $unit->value, 'high' => $is->peakHigh, 'low' => $is->peakLow,
            'excursion' => $is->excursion, 'settled' => $is->settled, 'partner' => $is->partnerExcursion,
            'unusual' => $is->unusual && isset($spec['usual']), 'verdict' => $is->verdict->value,
            ...$in->do === 'samples' ? ['recorded' => $is->at] : [],
            ...$in->note === '' ? [] : ['note' => $in->note],
        ];
        $taken = new Taken(
            $spec['point'],
            self::points($is->excursion, $unit),
            $is->excursion,
            $unit->value,
            $is->verdict->value,
            $spec['limit'] - abs($is->excursion),
            null,
            note: $in->note,
        );
        $commit = fn() => $this->readings->commit($by, $step, $taken);

        return $is->verdict === Verdict::Pass
            ? Worked::done($result, $commit)
            : Worked::short($result, $is->verdict, $commit, static fn() => $step->fill(['result' => $result])->save());
    }

    /** The reference that an earlier step of the card recorded, by the name of that step. */
    public static function reference(Step $step, string $id): ?float
    {
        $made = $step->card->steps->first(static fn(Step $s): bool => ($s->spec['id'] ?? null) === $id);
        $value = $made?->result['reference'] ?? null;

        return $value === null ? null : (float) $value;
    }

    private static function points(float $value, Unit $unit): string
    {
        return ($value > 0 ? '+' : '').Words::number($value, 3)." {$unit->label()}";
    }

    private function seen(Step $step, StepInput $in, float $reference, Unit $unit): ChangeOver
    {
        $read = static function (string $field, string $says) use ($in, $unit): float {
            try {
                return Entered::parse($in->entries[$field] ?? '', $unit)->value;
            } catch (InputError $e) {
                throw Refused::because("{$says}: {$e->getMessage()}. Nothing was saved.");
            }
        };
        [$high, $low] = [$read('high', 'The highest'), $read('low', 'The lowest')];
        if ($high < $low) {
            throw Refused::because('The highest is below the lowest. Read both again; nothing was saved.');
        }
        $settled = trim($in->entries['settled'] ?? '') === '' ? null : $read('settled', 'What it settled at');
        $partner = null;
        if (isset($step->spec['partner'])) {
            $its = self::reference($step, $step->spec['partner']['reference']) ?? throw Refused::because(
                'Record the reference of the other engine first. Nothing was saved.',
            );
            $partner = $read('partner', "{$step->spec['partner']['point']}, at its farthest") - $its;
        }

        return Response::seen(
            $reference,
            $high,
            $low,
            $settled,
            $partner,
            (float) $step->spec['limit'],
            (float) ($step->spec['usual'] ?? $step->spec['limit']),
            isset($step->spec['partner']['limit']) ? (float) $step->spec['partner']['limit'] : null,
        );
    }
}
