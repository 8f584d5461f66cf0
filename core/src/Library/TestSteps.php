<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Bench\TestRule;
use Jorvel\Core\Shared\InputError;

/** What a functional test of a template must have: set up first, put back last, something that is judged between. */
final class TestSteps
{
    /** Kinds that pass or fail. */
    public const JUDGING = [
        'measurement', 'torque', 'timing', 'count', 'answer', 'compare', 'meet', 'test', 'hold', 'sheet', 'stabilise',
        'transition', 'sequence', 'indication', 'precharge', 'leak', 'selftest',
    ];

    /** Kinds that are no part of a test: signed, or worked over several shifts, or a sheet with runs of its own. */
    private const NOT_IN = ['inspection', 'circuit', 'rig', 'exchange'];

    private const ORDER = ['setup' => 0, 'test' => 1, 'restore' => 2];

    /**
     * @param array<string, mixed> $spec of the block
     *
     * @return list<InputError> paths from the block's `spec`
     *
     * @pure
     */
    public static function faults(array $spec): array
    {
        $faults = $names = [];
        $at = 0;
        $judged = false;
        foreach ($spec['steps'] as $k => $step) {
            $part = self::ORDER[$step['spec']['when'] ?? 'test'];
            if (in_array($step['kind'], self::NOT_IN, true)) {
                $faults[] = InputError::at("steps.{$k}.kind", 'has no place in a functional test');
            }
            if ($part < $at) {
                $faults[] = InputError::at(
                    "steps.{$k}.spec.when",
                    'set up comes first, then the test, then what is put back',
                );
            }
            $at = max($at, $part);
            if ($part === self::ORDER['test'] && in_array($step['kind'], self::JUDGING, true)) {
                $judged = true;
                $names[] = $step['spec']['id'] ?? '';
            }
        }
        if (! $judged) {
            $faults[] = InputError::at('steps', 'are of a test that judges nothing: no step of it passes or fails');
        }

        return [...$faults, ...self::ofRule($spec['rule'] ?? [], $names)];
    }

    /**
     * @param array<string, mixed> $rule
     * @param list<string> $names of what is judged
     *
     * @return list<InputError>
     */
    private static function ofRule(array $rule, array $names): array
    {
        try {
            $unknown = array_values(array_diff(TestRule::from($rule)->names(), $names));
        } catch (InputError $e) {
            return [$e->under('rule')];
        }

        return $unknown === []
            ? []
            : [InputError::notAmong('rule', 'steps of the test that pass or fail', $unknown[0])];
    }
}
