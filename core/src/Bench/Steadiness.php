<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** What it takes for a signal to count as stable: within a band around a target, for so long. */
final readonly class Steadiness
{
    /**
     * @param float $tolerance in the signal's unit, at least 0
     * @param float $seconds above 0
     */
    private function __construct(
        public string $signal,
        public float $target,
        public float $tolerance,
        public float $seconds,
    ) {}

    /**
     * `Steadiness::of('speed', 96.0, 0.7, 60.0)`.
     *
     * @throws InputError at `tolerance` below 0, at `seconds` for no time
     *
     * @pure
     */
    public static function of(string $signal, float $target, float $tolerance, float $seconds): self
    {
        if ($tolerance < 0) {
            throw InputError::negative('tolerance');
        }
        if ($seconds <= 0) {
            throw InputError::notPositive('seconds');
        }

        return new self($signal, $target, $tolerance, $seconds);
    }

    /**
     * As a step has it: `signal`, `target`, `tolerance`, `seconds`.
     *
     * @param array<string, mixed> $spec as in core/schema/step.json
     *
     * @throws InputError as {@see of()}
     *
     * @pure
     */
    public static function from(array $spec): self
    {
        return self::of(
            (string) $spec['signal'],
            (float) $spec['target'],
            (float) $spec['tolerance'],
            (float) $spec['seconds'],
        );
    }

    /** @pure */
    public function within(float $value): bool
    {
        return Near::atLeast($value, $this->target - $this->tolerance)
            && Near::atMost($value, $this->target + $this->tolerance);
    }

    /** Whether every sample from one to before another is within the band. @pure */
    public function holds(Samples $samples, int $from, int $to): bool
    {
        $values = $samples->column($this->signal);
        for ($i = $from; $i < $to; $i++) {
            if (! $this->within($values[$i])) {
                return false;
            }
        }

        return true;
    }

    /**
     * From when on the signal had been within its band for long enough: the end of the first such time. Across a gap
     * nobody knows what it did; the time begins anew after it.
     *
     * @param list<array{from: float, to: float}> $gaps in seconds of the record, in order of time
     *
     * @return float|null seconds of the record; null where it never was
     *
     * @pure
     */
    public function reachedAt(Samples $samples, array $gaps = []): ?float
    {
        $since = null;
        $gap = 0;
        foreach ($samples->column($this->signal) as $i => $value) {
            if (isset($gaps[$gap]) && Near::atLeast($samples->t[$i], $gaps[$gap]['to'])) {
                $since = null;
                $gap++;
            }
            if (! $this->within($value)) {
                $since = null;

                continue;
            }
            $since ??= $samples->t[$i];
            if (Near::atLeast($samples->t[$i] - $since, $this->seconds)) {
                return $samples->t[$i];
            }
        }

        return null;
    }

    /**
     * Of readings typed one after the other, with when each was taken: whether the last ones, all within the band, span
     * the time that is asked.
     *
     * @param list<array{float, float}> $readings seconds and value, in order of time
     *
     * @return array{Verdict, float} pass or fail, and for how many seconds it has been within the band until the last
     *
     * @pure
     */
    public function ofReadings(array $readings): array
    {
        $since = null;
        $last = 0.0;
        foreach ($readings as [$t, $value]) {
            $since = $this->within($value) ? $since ?? $t : null;
            $last = $t;
        }
        $held = $since === null ? 0.0 : $last - $since;

        return [
            count($readings) > 1 && $since !== null && Near::atLeast($held, $this->seconds)
                ? Verdict::Pass
                : Verdict::Fail,
            $held,
        ];
    }
}
