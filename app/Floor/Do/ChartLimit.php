<?php

declare(strict_types=1);

namespace App\Floor\Do;

use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** The limit of a point of a sheet that goes by a chart, from what the others read. */
final readonly class ChartLimit
{
    /**
     * @param list<array<string, mixed>> $points of the sheet
     * @param array<string, float> $values of those read so far, by id, each in the unit of its point
     *
     * @return array<string, mixed>|null null for a point without a chart
     *
     * @throws InputError while one that it is read by is missing, or off the chart
     */
    public static function of(array $points, string $id, array $values): ?array
    {
        $all = array_column($points, null, 'id');
        if (! isset($all[$id]['chart'])) {
            return null;
        }
        $chart = SheetChart::from($all[$id]['chart']);

        return $chart->limit($values, Unit::parse($all[$chart->by]['unit']), Unit::parse($all[$id]['unit']));
    }

    /**
     * As somebody types: what cannot be read as a number yet is not there.
     *
     * @param list<array<string, mixed>> $points of the sheet
     * @param array<string, string> $entries by id of the point
     *
     * @return array<string, float>
     */
    public static function typed(array $points, array $entries): array
    {
        $values = [];
        foreach ($points as $p) {
            try {
                $unit = Unit::parse($p['unit']);
                $values[$p['id']] = Entered::parse((string) ($entries[$p['id']] ?? ''), $unit)->in($unit)->value;
            } catch (InputError) {
                continue;
            }
        }

        return $values;
    }
}
