<?php

declare(strict_types=1);

namespace App\Floor;

use App\Shared\Words;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Bench\Rigging\Vernier;

/** What is turned on a rigging sheet, in words. */
final class RigWords
{
    public static function direction(string $turn): string
    {
        return match (Turn::from($turn)) {
            Turn::Clockwise => 'clockwise', Turn::CounterClockwise => 'counter-clockwise', Turn::Lengthen => 'longer',
            Turn::Shorten => 'shorter', Turn::Raise => 'up', Turn::Lower => 'down',
        };
    }

    /** A chance as it is said. */
    public static function percent(float $chance): string
    {
        return match (true) {
            $chance > 0.995 => 'over 99 %',
            $chance < 0.01 => 'under 1 %',
            default => round(100 * $chance).' %',
        };
    }

    /**
     * What a ground run costs, and the how manieth of how many it is.
     *
     * @param array<string, mixed> $ground of the sheet
     */
    public static function ground(array $ground, int $no): string
    {
        $costs = array_values(array_filter([
            isset($ground['fuel_kg']) ? Words::number((float) $ground['fuel_kg'], 0).' kg of fuel' : '',
            isset($ground['crew_hours']) ? Words::number((float) $ground['crew_hours'], 1).' crew hours' : '',
            ($ground['noise'] ?? false) ? 'noise' : '',
        ]));

        return "Ground run {$no} of {$ground['budget']}".($no > $ground['budget'] ? ', more than were meant' : '')
            .($costs === [] ? '.' : '; each costs '.Words::list($costs).'.');
    }

    /** @return list<string> "the lever alone on the washer, 2 serrations clockwise"; in the order of the work */
    public static function serrations(Vernier $steps): array
    {
        $one = static fn(string $what, int $n): array => $n === 0 ? [] : [
            "{$what}, ".Words::count(abs($n), 'serration').' '
                .self::direction(($n > 0 ? Turn::Clockwise : Turn::CounterClockwise)->value),
        ];

        return [
            ...$one('washer and lever together on the unit', $steps->unitSteps),
            ...$one('the lever alone on the washer', $steps->leverSteps),
        ];
    }

    /** "1 turn", "1.5 turns", "1.5°". */
    public static function amount(float $amount, string $unit): string
    {
        if ($unit === 'deg') {
            return Words::number($amount, 2).'°';
        }
        $of = $amount === 1.0 && str_ends_with($unit, 's') ? substr($unit, 0, -1) : $unit;

        return trim(Words::number($amount, 2)." {$of}");
    }

    /**
     * @param array<string, mixed> $spec of the step
     * @param array<string, float|int> $turned signed amounts by adjuster
     *
     * @return array<string, string> "1.25 turns clockwise", by adjuster
     */
    public static function each(array $spec, array $turned): array
    {
        $out = [];
        foreach ($turned as $id => $amount) {
            $is = self::adjuster($spec, $id);
            $turn = Turn::from($is['positive']);
            $out[$id] = self::amount(abs((float) $amount), $is['unit']).' '
                .self::direction(($amount < 0 ? $turn->opposite() : $turn)->value);
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $spec of the step
     * @param array<string, float|int> $turned signed amounts by adjuster
     *
     * @return list<string> "High-speed screw 1.25 turns clockwise"
     */
    public static function turned(array $spec, array $turned): array
    {
        $out = [];
        foreach (self::each($spec, $turned) as $id => $said) {
            $out[] = self::adjuster($spec, $id)['title']." {$said}";
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return array{title: string, unit: string, positive: string}
     */
    private static function adjuster(array $spec, string $id): array
    {
        return array_column($spec['adjusters'] ?? [], null, 'id')[$id]
            ?? ['title' => $id, 'unit' => '', 'positive' => 'cw'];
    }
}
