<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\InputError;

/** One limit of an item: so many days, months, or so much of a counter. */
final readonly class DueLimit
{
    private function __construct(
        public string $unit,
        public float $interval,
        public ?float $threshold,
        public Allowance $tolerance,
        public Allowance $early,
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
    public static function of(string $unit, float $interval, ?float $threshold = null, ?Allowance $tolerance = null, ?Allowance $early = null): self
    {
        if ($unit === '') {
            throw InputError::at('unit', 'must not be empty');
        }
        if (! ($interval > 0)) {
            throw InputError::at('interval', 'must be greater than 0');
        }
        if ($threshold !== null && ! ($threshold >= 0)) {
            throw InputError::at('threshold', 'must be at least 0');
        }
        $limit = new self($unit, $interval, $threshold, $tolerance ?? Allowance::none(), $early ?? Allowance::none());
        if ($limit->isCalendar()) {
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

    /** @pure */
    public function isCalendar(): bool
    {
        return $this->unit === 'days' || $this->unit === 'months';
    }
}
