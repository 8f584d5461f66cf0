<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Fleet\Model\Component;
use App\Shared\Refused;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** A gauge as it is read at a step: of which bottle, and at which temperature. */
final readonly class GaugeRead
{
    /**
     * @param Quantity $shown a gauge pressure that can be one
     * @param float $tempC of the gas, above absolute zero
     * @param bool $filled it was changed or filled just before: its trend starts anew
     */
    private function __construct(
        public Component $component,
        private Quantity $shown,
        public float $tempC,
        public bool $filled,
    ) {}

    /** @throws Refused for a reading that cannot be one */
    public static function of(Component $component, Quantity $shown, float $tempC, bool $filled): self
    {
        try {
            GasPressure::require($shown->value, $shown->unit, $tempC);
        } catch (InputError $e) {
            throw Refused::because(ucfirst("{$e->path} {$e->getMessage()}").'. Nothing was saved.');
        }

        return new self($component, $shown, $tempC, $filled);
    }

    /** What the gauge would show at the bottle's reference temperature. */
    public function atReference(): Quantity
    {
        return Quantity::of(
            round(GasPressure::at($this->shown->value, $this->shown->unit, $this->tempC, $this->reference()), 1),
            $this->shown->unit,
        );
    }

    /** As the bottle's trend keeps it, in its own unit. */
    public function pressure(): float
    {
        return round($this->shown->in(Unit::parse($this->component->gauge['unit'] ?? ''))->value, 3);
    }

    /** @return array<string, mixed> what the step keeps of it */
    public function read(): array
    {
        return [
            'serial' => $this->component->serial, 'shown' => $this->shown->value, 'unit' => $this->shown->unit->value,
            'temp_c' => $this->tempC, 'reference_c' => $this->reference(),
        ];
    }

    private function reference(): float
    {
        return (float) ($this->component->gauge['reference'] ?? 21);
    }
}
