<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/**
 * A component's time on one aircraft: it grows by what the aircraft flies, in its own counters.
 *
 * What it had at a day = what it had when fitted + (the aircraft's counter then − the aircraft's counter at fitting) ×
 * factor. Nothing else is stored, so moving it back and forth changes nothing, and a corrected flight reaches it.
 */
final readonly class Tenure
{
    /**
     * @param array<string, float> $own the component's counters when it was fitted
     * @param array<string, float> $aircraft the aircraft's counters then
     * @param array<string, array{string, float}> $accrues by own counter: the aircraft's counter it follows, and own
     *   units per unit of it
     */
    private function __construct(private array $own, private array $aircraft, private array $accrues) {}

    /**
     * @param array<string, float> $own
     * @param array<string, float> $aircraft
     * @param array<string, array{string, float}> $accrues
     *
     * @pure
     */
    public static function begin(array $own, array $aircraft, array $accrues): self
    {
        return new self($own, $aircraft, $accrues);
    }

    /**
     * The component's counters when the aircraft's stand so.
     *
     * @param array<string, float> $aircraft
     *
     * @return array<string, float>
     *
     * @pure
     */
    public function counters(array $aircraft): array
    {
        $out = [];
        foreach ($this->own as $counter => $value) {
            [$of, $factor] = $this->accrues[$counter] ?? ['', 0.0];
            $out[$counter] = round($value + (($aircraft[$of] ?? 0.0) - ($this->aircraft[$of] ?? 0.0)) * $factor, 6);
        }

        return $out;
    }

    /**
     * An aircraft's use (a day's, or a mean) in the component's counters.
     *
     * @param array<string, float> $use
     *
     * @return array<string, float>
     *
     * @pure
     */
    public function share(array $use): array
    {
        $out = [];
        foreach ($this->own as $counter => $value) {
            [$of, $factor] = $this->accrues[$counter] ?? ['', 0.0];
            if (isset($use[$of])) {
                $out[$counter] = $use[$of] * $factor;
            }
        }

        return $out;
    }
}
