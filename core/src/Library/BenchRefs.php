<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use function array_column;
use function array_diff;
use function array_merge;

use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\Sheet;
use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** What the steps of tests say of themselves and of one another: points, references, orders, sources, channels. */
final class BenchRefs
{
    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $spec
     * @param array<string, array<string, mixed>> $known steps before it, by id
     *
     * @return list<InputError> each at its place
     *
     * @pure
     */
    public static function faults(array $step, array $spec, array $known): array
    {
        return match ($step['kind']) {
            'rig' => RigRefs::faults($spec),
            'sheet' => self::sheet($spec),
            'transition' => self::transition($spec, $known),
            'sequence' => self::sequence($spec),
            'indication' => self::proves($spec),
            'leak' => self::leak($spec, $known),
            'precharge' => Unit::tryFrom((string) $spec['reading']['limit']['unit'])?->dimension() === 'pressure'
                ? []
                : [InputError::at('spec.reading.limit.unit', 'must be a unit of pressure')],
            'stabilise' => ($spec['by'] ?? 'watch') === 'watch' || isset($spec['signal'])
                ? []
                : [InputError::missing('spec.signal')],
            default => [],
        };
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, array<string, mixed>> $known
     *
     * @return list<InputError>
     */
    private static function leak(array $spec, array $known): array
    {
        if (Unit::tryFrom((string) $spec['unit'])?->dimension() !== 'pressure') {
            return [InputError::at('spec.unit', 'must be a unit of pressure')];
        }
        $of = isset($spec['from']) ? $known[$spec['from']] ?? null : null;

        return match (true) {
            ! isset($spec['from']) => [],
            ! in_array($of['kind'] ?? null, ['measurement', 'reference'], true)
                => [InputError::notAmong('spec.from', 'readings before it', $spec['from'])],
            ($of['spec']['unit'] ?? $of['spec']['reading']['limit']['unit'] ?? null) !== $spec['unit']
                => [InputError::at('spec.unit', "is not the unit of {$spec['from']}")],
            $spec['gas'] => [InputError::at('spec.gas', 'wants a temperature at the start too: read it there')],
            default => [],
        };
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function sheet(array $spec): array
    {
        $faults = [];
        $units = [];
        foreach ($spec['points'] as $i => $p) {
            $at = "spec.points.{$i}";
            if (isset($units[$p['id']])) {
                $faults[] = InputError::usedTwice("{$at}.id", $p['id']);
            }
            $unit = Unit::tryFrom((string) $p['unit']);
            if ($unit === null) {
                $faults[] = InputError::at("{$at}.unit", "\"{$p['unit']}\" is not a unit");

                continue;
            }
            $units[$p['id']] = $unit;
            if (isset($p['limit']) && isset($p['chart'])) {
                $faults[] = InputError::at($at, 'has a limit beside a chart: one of them');
            }
            $faults = [...$faults, ...self::point($p, $unit, $units, $at)];
            if (($spec['watch'] ?? false) && $unit->dimension() !== 'time') {
                $faults[] = InputError::at("{$at}.unit", 'must be a unit of time: each point has a watch');
            }
        }
        foreach ($spec['spread'] ?? [] as $i => $s) {
            foreach (array_diff($s['of'], array_keys($units)) as $id) {
                $faults[] = InputError::notAmong("spec.spread.{$i}.of", 'points of the sheet', $id);
            }
        }

        return [...$faults, ...self::derived($spec, $units)];
    }

    /**
     * @param array<string, mixed> $p
     * @param array<string, Unit> $units of the points so far, its own with them
     *
     * @return list<InputError>
     */
    private static function point(array $p, Unit $unit, array $units, string $at): array
    {
        try {
            if (isset($p['limit']) && Flowing::expressions($p['limit']) === []) {
                $limit = LimitKind::limit(Input::of((object) $p['limit'], "{$at}.limit"));
                if ($limit->unit->dimension() !== $unit->dimension()) {
                    return [InputError::at("{$at}.limit.unit", "is no unit of what is read in {$unit->value}")];
                }
            } elseif (isset($p['limit'])) {
                return [InputError::at("{$at}.limit", 'must be numbers: what depends on other points is a chart or a '
                    .'derived value')];
            }
            $needs = isset($p['chart']) ? SheetChart::from($p['chart'])->needs() : [];
        } catch (InputError $e) {
            return [str_starts_with($e->path, $at) ? $e : $e->under("{$at}.chart")];
        }
        $unknown = array_values(array_diff($needs, array_diff(array_keys($units), [$p['id']])));

        return $unknown === []
            ? []
            : [InputError::notAmong("{$at}.chart", 'points of the sheet before it', $unknown[0])];
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, Unit> $units
     *
     * @return list<InputError>
     */
    private static function derived(array $spec, array $units): array
    {
        $faults = [];
        try {
            $sheet = Sheet::from($spec);
        } catch (InputError $e) {
            return [str_starts_with($e->path, 'spec.') ? $e : $e->under('spec')];
        }
        $ids = array_keys($units);
        foreach ($sheet->derived as $i => $d) {
            foreach (array_diff($d['is']->names, $ids) as $name) {
                $faults[] = InputError::notAmong("spec.derived.{$i}.is", 'points of the sheet', $name);
            }
            if (in_array($d['id'], $ids, true)) {
                $faults[] = InputError::usedTwice("spec.derived.{$i}.id", $d['id']);
            }
            $ids[] = $d['id'];
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, array<string, mixed>> $known
     *
     * @return list<InputError>
     */
    private static function transition(array $spec, array $known): array
    {
        $faults = [];
        $references = ['reference' => $spec['reference'], 'partner.reference' => $spec['partner']['reference'] ?? null];
        foreach (array_filter($references) as $field => $id) {
            if (($known[$id]['kind'] ?? null) !== 'reference') {
                $faults[] = InputError::notAmong("spec.{$field}", 'references recorded before it', $id);
            }
        }
        if (($spec['usual'] ?? 0) > $spec['limit']) {
            $faults[] = InputError::at('spec.usual', 'must not be above the limit');
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function sequence(array $spec): array
    {
        $items = array_column($spec['items'], 'id');
        $order = array_merge(...$spec['order']);
        $faults = [];
        foreach (array_diff($order, $items) as $id) {
            $faults[] = InputError::notAmong('spec.order', 'things that are watched', $id);
        }
        foreach (array_diff($items, $order) as $id) {
            $faults[] = InputError::at('spec.order', "has no place for {$id}");
        }
        foreach ([...array_count_values($items), ...array_count_values($order)] as $id => $n) {
            if ($n > 1) {
                $faults[] = InputError::usedTwice('spec.order', (string) $id);
            }
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function proves(array $spec): array
    {
        return array_filter(array_column($spec['sources'], 'proves')) === []
            ? [InputError::at('spec.sources', 'must have one that proves it: what only shows it proves nothing')]
            : [];
    }
}
