<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** One limit of an item: so many days, months, or so much of a counter. */
final readonly class DueLimit
{
    /**
     * @param float $toleranceOfFirst of a counter's first span (its threshold), worked out once
     * @param float $toleranceOfNext of every later span
     * @param float $earlyOfNext
     */
    private function __construct(
        public string $unit,
        public float $interval,
        public ?float $threshold,
        public bool $isCalendar,
        public Allowance $tolerance,
        public Allowance $early,
        public float $toleranceOfFirst,
        public float $toleranceOfNext,
        public float $earlyOfNext,
    ) {}

    /**
     * @param string $unit `days`, `months`, or a counter's name
     * @param float $interval in that unit, above 0; whole for days and months
     * @param float|null $threshold the first interval where it differs, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $unit,
        float $interval,
        ?float $threshold = null,
        ?Allowance $tolerance = null,
        ?Allowance $early = null,
    ): self {
        if ($unit === '') {
            throw InputError::empty('unit');
        }
        if (! ($interval > 0)) {
            throw InputError::notPositive('interval');
        }
        if ($threshold !== null && ! ($threshold >= 0)) {
            throw InputError::negative('threshold');
        }
        $tolerance ??= Allowance::none();
        $early ??= Allowance::none();
        $limit = new self(
            $unit,
            $interval,
            $threshold,
            $unit === 'days' || $unit === 'months',
            $tolerance,
            $early,
            $tolerance->amount($threshold ?? $interval),
            $tolerance->amount($interval),
            $early->amount($interval),
        );
        if ($limit->isCalendar) {
            $most = $unit === 'days' ? 1_000_000 : 36_000;
            foreach (['interval' => $interval, 'threshold' => $threshold ?? 1.0] as $field => $value) {
                if (floor($value) !== $value || $value > $most) {
                    throw InputError::at($field, "must be a whole number of {$unit}, at most {$most}");
                }
            }
            foreach (['tolerance' => $limit->tolerance, 'early' => $limit->early] as $field => $allowance) {
                try {
                    $allowance->requireWhole();
                } catch (InputError $e) {
                    throw $e->under($field);
                }
            }
        }

        return $limit;
    }

    /**
     * The same limit with interval and threshold times a factor; days and months are rounded down to whole ones, at
     * least 1.
     *
     * @param float $factor above 0 and at most 1
     *
     * @pure
     */
    public function shortened(float $factor): self
    {
        $cut = fn(float $span): float
            => $this->isCalendar ? (float) max(1, Near::floor($span * $factor)) : $span * $factor;
        $threshold = $this->threshold === null || $this->threshold === 0.0 ? $this->threshold : $cut($this->threshold);

        return self::of($this->unit, $cut($this->interval), $threshold, $this->tolerance, $this->early);
    }
}
