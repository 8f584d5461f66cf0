<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** What the steps of a template say of one another: names that exist, and earlier; and numbers that can be met. */
final class StepRefs
{
    /**
     * @param list<array<string, mixed>> $steps of the shape of core/schema/step.json
     *
     * @return list<InputError> each at its place
     */
    public static function faults(array $steps): array
    {
        $faults = [];
        /** @var array<string, array<string, mixed>> $known by id */
        $known = [];
        /** @var list<array<string, mixed>> $worked in the card's order, as far as it is read */
        $worked = [];
        $made = array_filter($steps, static fn(array $s): bool => isset($s['spec']['made']));
        foreach ($steps as $i => $step) {
            $block = Steps::holds($step['kind']);
            $inside = $known;
            foreach ($block ? $step['spec']['steps'] : [$step] as $k => $one) {
                $at = $block ? "steps.{$i}.spec.steps.{$k}" : "steps.{$i}";
                foreach (self::ofOne(
                    $one,
                    $inside,
                    $worked,
                    $made === [],
                    $block && count($step['spec']['positions'] ?? []) === 2,
                ) as $fault) {
                    $faults[] = $fault->under($at);
                }
                $id = $one['spec']['id'] ?? null;
                if ($id !== null) {
                    if (isset($inside[$id])) {
                        $faults[] = InputError::usedTwice("{$at}.spec.id", $id);
                    }
                    $inside[$id] = $one;
                }
                $worked[] = $one;
            }
            // What a block of several positions names is not known outside of it: there it is several things.
            $known = isset($step['spec']['positions']) ? $known : $inside;
            $worked = $block ? Steps::expand(array_slice($steps, 0, $i + 1)) : $worked;
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $step
     * @param array<string, array<string, mixed>> $known
     * @param list<array<string, mixed>> $worked
     * @param bool $strict what is removed was fitted on this card
     * @param bool $sister it stands in a block of two positions
     *
     * @return list<InputError>
     */
    private static function ofOne(array $step, array $known, array $worked, bool $strict, bool $sister): array
    {
        $spec = $step['spec'] ?? [];
        $faults = [
            ...self::numbers($step, $spec), ...self::flows($spec, $known, $sister),
            ...BenchRefs::faults($step, $spec, $known),
        ];
        $of = $spec['applies']['answer']['step'] ?? null;
        if ($of !== null && ! isset($known[$of])) {
            $faults[] = InputError::notAmong('spec.applies.answer.step', 'steps before it', $of);
        }
        foreach ($step['kind'] === 'rollcall' ? ['lead', 'signs'] : [] as $who) {
            if (isset($spec[$who]) && ! in_array($spec[$who], $spec['places'], true)) {
                $faults[] = InputError::notAmong("spec.{$who}", 'places of the roll-call', $spec[$who]);
            }
        }
        if (isset($spec['briefing']) !== isset($spec['signs'])) {
            $faults[] = InputError::missing(isset($spec['briefing']) ? 'spec.signs' : 'spec.briefing');
        }
        if ($step['kind'] === 'meet' && ($known[$spec['mark']]['kind'] ?? null) !== 'mark') {
            $faults[] = InputError::notAmong('spec.mark', 'marks made before it', $spec['mark']);
        }
        if ($step['kind'] === 'meet' && isset($known[$spec['mark']]['spec']['unit']) && ! isset($spec['within'])) {
            $faults[] = InputError::missing('spec.within');
        }
        if ($step['kind'] === 'safing_remove' && ! isset($spec['made'])) {
            $fitted = is_string($spec['of']) ? $known[$spec['of']] ?? null : $worked[$spec['of'] - 1] ?? null;
            if (($fitted['kind'] ?? null) !== 'safing_fit' && $strict) {
                $faults[] = InputError::at('spec.of', 'is no step before it that fits something');
            }
        }

        return $faults;
    }

    /**
     * Names in the expressions of a limit: steps before it that yield a number, in a unit of the limit's dimension.
     *
     * @param array<string, mixed> $spec
     * @param array<string, array<string, mixed>> $known
     *
     * @return list<InputError>
     */
    private static function flows(array $spec, array $known, bool $sister): array
    {
        $limit = $spec['reading']['limit'] ?? [];
        $faults = [];
        try {
            $expressions = Flowing::expressions($limit);
        } catch (InputError $e) {
            return [$e->under('spec.reading.limit')];
        }
        foreach ($expressions as $field => $expression) {
            foreach ($expression->names as $name) {
                $from = $sister ? '(?:'.Flowing::LAST.'|'.Flowing::OTHER.')' : Flowing::LAST;
                $of = $known[(string) preg_replace("/^{$from}/", '', $name)] ?? $known[$name] ?? null;
                $unit = self::unitOf($of);
                $differs = Unit::tryFrom((string) $unit)?->dimension() !== Unit::tryFrom($limit['unit'])?->dimension();
                if ($unit === null) {
                    $faults[] = InputError::notAmong("spec.reading.limit.{$field}", 'readings before it', $name);
                } elseif ($unit !== '' && $differs) {
                    $faults[] = InputError::at(
                        "spec.reading.limit.{$field}",
                        "{$name} is in {$unit}; the limit is in {$limit['unit']}",
                    );
                }
            }
        }

        return $faults;
    }

    /**
     * The unit of the number that a step yields; the empty one for a count; null for a step that yields none.
     *
     * @param array<string, mixed>|null $step
     */
    private static function unitOf(?array $step): ?string
    {
        return match ($step['kind'] ?? null) {
            'measurement', 'torque', 'timing', 'test', 'precharge'
                => (string) $step['spec']['reading']['limit']['unit'],
            'reference' => (string) $step['spec']['unit'],
            'mark' => isset($step['spec']['unit']) ? (string) $step['spec']['unit'] : null,
            'count' => '',
            default => null,
        };
    }

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function numbers(array $step, array $spec): array
    {
        $faults = [];
        foreach (['min', 'max'] as $end) {
            $number = $spec[$end] ?? null;
            $part = $spec['fraction'] ?? 1;
            if ($number !== null && $step['kind'] === 'count' && fmod((float) $number, (float) $part) !== 0.0) {
                $faults[] = InputError::at("spec.{$end}", $part === 1
                    ? 'must be a whole number, or the step says of which fraction'
                    : "must be a multiple of {$part}");
            }
        }
        if (($spec['min'] ?? 0) > ($spec['max'] ?? INF)) {
            $faults[] = InputError::reversed('spec.min');
        }
        if (isset($spec['reading'])) {
            $faults = [...$faults, ...self::reading($spec['reading'])];
        }
        foreach (array_filter(['spec.unit' => $spec['unit'] ?? null], is_string(...)) as $place => $unit) {
            try {
                Unit::parse($unit);
            } catch (InputError $e) {
                $faults[] = $e->under($place);
            }
        }
        $faults = [...$faults, ...self::dimensions($step, $spec)];
        if ($step['kind'] === 'circuit') {
            $faults = [...$faults, ...self::circuit($spec)];
        }

        return $faults;
    }

    /**
     * A gauge shows a pressure, and is read by a measurement; what is put in is a volume or a mass.
     *
     * @param array<string, mixed> $step
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function dimensions(array $step, array $spec): array
    {
        $of = static fn(mixed $unit): ?string => Unit::tryFrom((string) $unit)?->dimension();
        $faults = [];
        if (isset($spec['reading']['gauge']) && $step['kind'] !== 'measurement') {
            $faults[] = InputError::at('spec.reading.gauge', 'is read by a measurement');
        } elseif (isset($spec['reading']['gauge']) && $of($spec['reading']['limit']['unit']) !== 'pressure') {
            $faults[] = InputError::at('spec.reading.limit.unit', 'is no unit of pressure, which a gauge shows');
        }
        if (isset($spec['reading']['exceeds']) && $step['kind'] !== 'measurement') {
            $faults[] = InputError::at('spec.reading.exceeds', 'is read by a measurement');
        }
        if ($step['kind'] === 'consumable' && ! in_array($of($spec['unit']), ['volume', 'mass', null], true)) {
            $faults[] = InputError::at('spec.unit', 'is no unit of volume or mass');
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $reading
     *
     * @return list<InputError>
     */
    private static function reading(array $reading): array
    {
        try {
            // What flows is known only at the aircraft; its names and units are looked at here.
            if (array_filter(array_diff_key($reading['limit'], ['kind' => 0, 'unit' => 0]), is_string(...)) !== []) {
                Unit::parse($reading['limit']['unit']);

                return [];
            }
            $limit = LimitKind::limit(Input::of((object) $reading['limit'], 'limit'));
        } catch (InputError $e) {
            return [$e->under('spec.reading')];
        }
        $faults = [];
        foreach ($reading['advised'] ?? [] as $end => $number) {
            if ($number < ($limit->low ?? -INF) || $number > ($limit->high ?? INF)) {
                $faults[] = InputError::at("spec.reading.advised.{$end}", 'lies outside the limit');
            }
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function circuit(array $spec): array
    {
        $faults = [];
        $ids = array_count_values(array_map(strval(...), array_column($spec['points'], 'id')));
        foreach ($spec['points'] as $i => $point) {
            if ($ids[$point['id']] > 1) {
                $faults[] = InputError::usedTwice("spec.points.{$i}.id", (string) $point['id']);
            }
        }
        $needs = ['count' => 'counts', 'reading' => 'reading'][$spec['ask']] ?? null;
        if ($needs !== null && ! isset($spec[$needs])) {
            $faults[] = InputError::missing("spec.{$needs}");
        }

        return $faults;
    }
}
