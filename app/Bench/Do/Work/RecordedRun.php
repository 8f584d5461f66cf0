<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Bench\Model\Recording;
use App\Floor\Model\Step;
use App\Shared\Words;
use Jorvel\Core\Bench\ChangeOver;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Samples;
use Jorvel\Core\Bench\Steadiness;
use Jorvel\Core\Shared\InputError;

/**
 * A recorded run as it is judged: by whoever works the steps of its test, and on the recording's own page.
 */
final readonly class RecordedRun
{
    /**
     * @param list<string> $modes of each sample
     * @param list<array{from: float, to: float, line: int}> $gaps
     */
    private function __construct(public Samples $samples, private array $modes, public array $gaps) {}

    public static function of(Recording $recording): self
    {
        $samples = $recording->samples();

        return new self($samples, $recording->modes($samples), $recording->found['gaps']);
    }

    /**
     * All change-overs of it, by what one transition asks.
     *
     * @param string|null $signal another one than the transition's own; its partner is left out then
     *
     * @throws InputError with the empty path where the transition names no signal, the recording has none such or no
     *                    change of mode, or nothing was recorded for a part of what is judged
     */
    public function response(Step $transition, ?string $signal = null): Response
    {
        $spec = $transition->spec;
        if (! isset($spec['hold'], $spec['signal'])) {
            throw InputError::at('', "step {$transition->no} is watched by eye: it does not say which signal of a "
                .'recording it is');
        }
        $hold = Steadiness::from($spec['hold']);
        try {
            $response = Response::of(
                $this->samples,
                $this->modes,
                $signal ?? $spec['signal'],
                $signal === null && isset($spec['partner']) ? self::partner($transition) : null,
                $hold,
                (float) $spec['watch'],
                (float) $spec['limit'],
                (float) ($spec['usual'] ?? $spec['limit']),
                isset($spec['partner']['limit']) ? (float) $spec['partner']['limit'] : null,
            );
        } catch (InputError $e) {
            throw InputError::at('', "the recording: {$e->path} {$e->getMessage()}");
        }
        foreach ($response->changes as $change) {
            $this->requireWhole($change->at - $hold->seconds, $change->at + (float) $spec['watch']);
        }

        return $response;
    }

    /**
     * Its change-overs one after the other, each by the transition that watches it: the first transition of a test is
     * the first change of mode, and so on.
     *
     * @param list<Step> $transitions of one test, in their order
     *
     * @return list<ChangeOver> those that some transition watches
     *
     * @throws InputError as {@see Response()}
     */
    public function changes(array $transitions): array
    {
        $out = [];
        foreach ($transitions as $n => $transition) {
            $change = $this->response($transition)->changes[$n] ?? null;
            if ($change !== null) {
                $out[] = $change;
            }
        }

        return $out;
    }

    /** @throws InputError where nothing was recorded for a part of a stretch */
    private function requireWhole(float $from, float $to): void
    {
        foreach ($this->gaps as $gap) {
            if ($gap['from'] < $to && $gap['to'] > $from) {
                throw InputError::at('', 'the recording has a gap of '.Words::number($gap['to'] - $gap['from'], 1)
                    ." s after line {$gap['line']}, inside what is judged");
            }
        }
    }

    /** The signal of the other engine, which its own reference step names. */
    private static function partner(Step $transition): ?string
    {
        $id = $transition->spec['partner']['reference'];
        $made = $transition->card->steps->first(static fn(Step $s): bool => ($s->spec['id'] ?? null) === $id);

        return $made?->spec['signal'] ?? null;
    }
}
