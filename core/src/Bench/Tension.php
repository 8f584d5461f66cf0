<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * Cable tension for the day's temperature, read from the chart of the approved data: straight lines between its rows,
 * and nothing beyond them. Contract: docs/core.md, core/schema/tension.json.
 */
final readonly class Tension
{
    /**
     * @param float $target in the chart's unit
     * @param float|null $turns that bring the measured tension to the target; negative slackens; null where what a turn
     *   does is not given
     */
    private function __construct(
        public float $target,
        public float $low,
        public float $high,
        public Verdict $verdict,
        public ?float $turns,
    ) {}

    /**
     * @param list<array{float, float}> $chart temperature in °C and tension, temperatures rising
     * @param float $plus above the target that is allowed, at least 0
     * @param float $minus below it, at least 0
     * @param float|null $perTurn what one turn adds, not 0
     *
     * @throws InputError at `chart` without a row, at `chart.<i>.temp_c` where temperatures do not rise, at `temp_c` off
     *                    the chart, at `plus`, `minus` or `per_turn` for a number that cannot be one
     *
     * @pure
     */
    public static function of(
        array $chart,
        float $plus,
        float $minus,
        float $measured,
        float $tempC,
        ?float $perTurn = null,
    ): self {
        foreach (['plus' => $plus, 'minus' => $minus] as $field => $value) {
            if ($value < 0) {
                throw InputError::negative($field);
            }
        }
        if ($perTurn === 0.0) {
            throw InputError::at('per_turn', 'must not be 0');
        }
        $target = self::read($chart, $tempC);
        [$low, $high] = [$target - $minus, $target + $plus];

        return new self(
            $target,
            $low,
            $high,
            Near::atLeast($measured, $low) && Near::atMost($measured, $high) ? Verdict::Pass : Verdict::Fail,
            $perTurn === null ? null : ($target - $measured) / $perTurn,
        );
    }

    /**
     * What a chart says at a value between its rows.
     *
     * @param list<array{float, float}> $chart of what is known and what follows from it, the known rising
     *
     * @throws InputError at `chart`, `chart.<i>.temp_c` or `temp_c`
     *
     * @pure
     */
    public static function read(array $chart, float $at): float
    {
        if ($chart === []) {
            throw InputError::empty('chart');
        }
        for ($i = 1; $i < count($chart); $i++) {
            if ($chart[$i][0] <= $chart[$i - 1][0]) {
                throw InputError::at("chart.{$i}.temp_c", 'must be above the row before it');
            }
        }
        $last = count($chart) - 1;
        if (! Near::atLeast($at, $chart[0][0]) || ! Near::atMost($at, $chart[$last][0])) {
            throw InputError::at(
                'temp_c',
                "{$at} is off the chart, which goes from {$chart[0][0]} to {$chart[$last][0]}",
            );
        }
        for ($i = 1; $i <= $last; $i++) {
            if ($at <= $chart[$i][0]) {
                [[$x0, $y0], [$x1, $y1]] = [$chart[$i - 1], $chart[$i]];

                return $y0 + ($y1 - $y0) * (max($at, $x0) - $x0) / ($x1 - $x0);
            }
        }

        return $chart[$last][1];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'target' => $this->target,
            'low' => $this->low,
            'high' => $this->high,
            'verdict' => $this->verdict->value,
            'turns' => $this->turns,
        ];
    }
}
