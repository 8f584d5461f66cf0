<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Unit;

/**
 * Does it hold pressure.
 *
 * What a gas shows at the end is brought to the temperature of the start (Gay-Lussac, {@see GasPressure}), so that a
 * cooling line is not taken for a leak. Contract: docs/core.md, core/schema/decay.json.
 */
final readonly class Decay
{
    /**
     * @param float $correctedEnd in the unit; a liquid's is what was read
     * @param float $drop start less corrected end, in the unit; negative where it rose
     * @param float $perHour in the unit an hour
     */
    private function __construct(
        public float $correctedEnd,
        public float $drop,
        public float $perHour,
        public Verdict $verdict,
    ) {}

    /**
     * `Decay::of($start, $end, Unit::bar, gas: true, mostPerHour: 1.5)`.
     *
     * @param Unit $unit of both readings, a pressure
     * @param float $mostPerHour the most that may be lost, in the unit an hour, at least 0
     *
     * @throws InputError at `unit` for one of another dimension, at `max_per_hour` below 0, at `end.t` for an end that
     *                    is not after its start
     *
     * @pure
     */
    public static function of(PressureAt $start, PressureAt $end, Unit $unit, bool $gas, float $mostPerHour): self
    {
        if ($unit->dimension() !== 'pressure') {
            throw InputError::at('unit', "is no unit of pressure: \"{$unit->value}\"");
        }
        if ($mostPerHour < 0) {
            throw InputError::negative('max_per_hour');
        }
        foreach (['start' => $start, 'end' => $end] as $name => $reading) {
            try {
                GasPressure::require($reading->pressure, $unit, $reading->tempC);
            } catch (InputError $e) {
                throw $e->under($name);
            }
        }
        $seconds = $end->at->epoch() - $start->at->epoch();
        if ($seconds <= 0) {
            throw InputError::at('end.t', 'must be after the start');
        }
        $corrected = $gas ? GasPressure::at($end->pressure, $unit, $end->tempC, $start->tempC) : $end->pressure;
        $drop = $start->pressure - $corrected;
        $perHour = $drop * 3600 / $seconds;

        return new self(
            $corrected,
            $drop,
            $perHour,
            Near::atMost($perHour, $mostPerHour) ? Verdict::Pass : Verdict::Fail,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'corrected_end' => $this->correctedEnd,
            'drop' => $this->drop,
            'per_hour' => $this->perHour,
            'verdict' => $this->verdict->value,
        ];
    }
}
