<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * What a point of a sheet should read by what another point read: a tension by temperature, a strut's extension by its
 * pressure, brought to the chart's temperature first.
 */
final readonly class SheetChart
{
    /**
     * @param list<array{float, float}> $rows of the other point's value and this one's
     * @param string $by id of the other point
     * @param string|null $temp id of the point that has the temperature in °C, for a pressure of a gas
     */
    private function __construct(
        public array $rows,
        public string $by,
        public ?string $temp,
        public float $reference,
        public float $plus,
        public float $minus,
    ) {}

    /**
     * @param array<string, mixed> $chart as in core/schema/step.json
     *
     * @throws InputError at `rows.<i>` where they do not rise
     *
     * @pure
     */
    public static function from(array $chart): self
    {
        $rows = array_values(array_map(
            static fn(array $r): array => [(float) $r[0], (float) $r[1]],
            $chart['rows'],
        ));
        for ($i = 1; $i < count($rows); $i++) {
            if ($rows[$i][0] <= $rows[$i - 1][0]) {
                throw InputError::at("rows.{$i}", 'must be above the row before it');
            }
        }

        return new self(
            $rows,
            (string) $chart['by'],
            isset($chart['temp']) ? (string) $chart['temp'] : null,
            (float) ($chart['reference'] ?? 20.0),
            (float) $chart['plus'],
            (float) $chart['minus'],
        );
    }

    /** @return list<string> ids of the points that it is read by @pure */
    public function needs(): array
    {
        return $this->temp === null ? [$this->by] : [$this->by, $this->temp];
    }

    /**
     * The limit of the point, in its own unit.
     *
     * @param array<string, float> $values by id of the points read so far
     * @param Unit $byUnit of the other point
     *
     * @return array<string, mixed> as a `limit`
     *
     * @throws InputError with the empty path while the other point is not read, or is off the chart
     *
     * @pure
     */
    public function limit(array $values, Unit $byUnit, Unit $unit): array
    {
        foreach ($this->needs() as $id) {
            if (! isset($values[$id])) {
                throw InputError::at('', "is read by {$id}: read that first");
            }
        }
        $by = $values[$this->by];
        if ($this->temp !== null) {
            $by = GasPressure::at($by, $byUnit, $values[$this->temp], $this->reference);
        }
        try {
            $target = Tension::read($this->rows, $by);
        } catch (InputError) {
            $last = $this->rows[count($this->rows) - 1][0];
            throw InputError::at('', "is off its chart, which goes from {$this->rows[0][0]} to {$last}");
        }

        return [
            'kind' => 'nominal', 'unit' => $unit->value, 'nominal' => round($target, 6), 'plus' => $this->plus,
            'minus' => $this->minus,
        ];
    }
}
