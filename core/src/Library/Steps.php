<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Shared\InputError;

/**
 * The steps of a card template as they are written, and the steps of a card as they are worked.
 *
 * A block "each" is written once and worked for each of its positions: its steps stand in the card as often as it has
 * positions, in order within one position and in any order among them. `{position}` in a text is the position. A step
 * is named by its `id`, or by its number in the card; inside a block an `id` means the step of the same position.
 *
 * A functional test is a block as well: it stands in the card once, or once for each of its positions, with a step that
 * begins an attempt before it and one that gives the verdict after it.
 */
final class Steps
{
    /** Steps that a card may come to. */
    private const MOST = 800;

    /**
     * The steps of a card, numbered from 1 in this order.
     *
     * @param list<array<string, mixed>> $steps as written, without faults
     *
     * @return list<array<string, mixed>> none of them a block; a step of a block has `spec.each`: `title`, `position`,
     *   `n`, `of`; one of a functional test `spec.test`: `key`, `title`, `part`, `name`
     *
     * @pure
     */
    public static function expand(array $steps): array
    {
        $out = [];
        foreach ($steps as $step) {
            $out = [...$out, ...match ($step['kind']) {
                'each' => self::block($step),
                'functional' => self::functional($step),
                default => [$step],
            }];
        }
        $numbers = [];
        foreach ($out as $i => $step) {
            if (isset($step['spec']['id'])) {
                $numbers[$step['spec']['id']] = $i + 1;
            }
        }

        return array_map(static function (array $step) use ($numbers): array {
            $of = $step['spec']['of'] ?? null;
            if (is_string($of) && isset($numbers[$of])) {
                $step['spec']['of'] = $numbers[$of];
            }

            return $step;
        }, $out);
    }

    /** Whether a step as it is written holds others. @pure */
    public static function holds(string $kind): bool
    {
        return $kind === 'each' || $kind === 'functional';
    }

    /** The id of a step of a block, at one position. @pure */
    public static function at(string $id, string $position): string
    {
        return "{$id}@{$position}";
    }

    /**
     * @param array<string, mixed> $block
     *
     * @return list<array<string, mixed>>
     */
    private static function block(array $block): array
    {
        $positions = $block['spec']['positions'];
        $own = array_column(array_column($block['spec']['steps'], 'spec'), 'id');
        $out = [];
        foreach ($positions as $i => $position) {
            foreach ($block['spec']['steps'] as $step) {
                $step = self::filled($step, $position);
                $step['spec'] = self::renamed($step['spec'] ?? [], $own, $position);
                $step['spec']['each'] = [
                    'title' => $block['title'],
                    'position' => $position,
                    'n' => $i + 1,
                    'of' => count($positions),
                ];
                $out[] = $step;
            }
        }

        return $out;
    }

    /**
     * A functional test: an attempt is begun, set up, worked, put back and given its verdict.
     *
     * @param array<string, mixed> $block
     *
     * @return list<array<string, mixed>>
     */
    private static function functional(array $block): array
    {
        $spec = $block['spec'];
        $only = static fn(string ...$fields): array => array_intersect_key($spec, array_flip($fields));
        $steps = [
            [
                'kind' => 'attempt', 'title' => "Begin: {$block['title']}", 'text' => $block['text'] ?? '',
                'spec' => [
                    ...$only('system', 'passage', 'conditions', 'limits', 'stop', 'inspect', 'why'), 'when' => 'begin',
                ],
            ],
            ...$spec['steps'],
            [
                'kind' => 'verdict', 'title' => "Verdict: {$block['title']}", 'text' => '',
                'spec' => [...$only('system', 'rule', 'tree', 'joins', 'proves'), 'when' => 'verdict'],
            ],
        ];
        $on = isset($spec['applies']) ? ['applies' => $spec['applies']] : [];
        $goesOn = ($spec['goes_on'] ?? false) === true ? ['goes_on' => true] : [];
        $steps = array_values(array_map(static fn(array $s): array => [...$s, 'spec' => [
            ...$on, ...array_diff_key($s['spec'] ?? [], ['when' => 0]),
            'test' => [
                'key' => $spec['id'] ?? $block['title'], 'title' => $block['title'],
                'part' => $s['spec']['when'] ?? 'test', ...$goesOn,
                ...isset($s['spec']['id']) ? ['name' => $s['spec']['id']] : [],
            ],
        ]], $steps));
        if (! isset($spec['positions'])) {
            return $steps;
        }

        return array_map(static function (array $s): array {
            $s['spec']['test']['key'] = self::at($s['spec']['test']['key'], $s['spec']['each']['position']);
            $s['spec']['test']['title'] .= ", {$s['spec']['each']['position']}";

            return $s;
        }, self::block(['title' => $block['title'], 'spec' => ['positions' => $spec['positions'], 'steps' => $steps]]));
    }

    /**
     * Its texts with the position in them.
     *
     * @param array<string, mixed> $values
     *
     * @return array<string, mixed>
     */
    private static function filled(array $values, string $position): array
    {
        array_walk_recursive($values, static function (mixed &$value) use ($position): void {
            $value = is_string($value) ? str_replace('{position}', $position, $value) : $value;
        });

        return $values;
    }

    /**
     * Its own id, and those of its block that it names, at its position.
     *
     * @param array<string, mixed> $spec
     * @param list<string> $own ids of the block
     *
     * @return array<string, mixed>
     */
    private static function renamed(array $spec, array $own, string $position): array
    {
        $name = static fn(mixed $id): mixed => in_array($id, $own, true) ? self::at($id, $position) : $id;
        foreach (['id', 'of', 'mark', 'reference', 'from'] as $field) {
            if (is_string($spec[$field] ?? null)) {
                $spec[$field] = $name($spec[$field]);
            }
        }
        if (isset($spec['partner']['reference'])) {
            $spec['partner']['reference'] = $name($spec['partner']['reference']);
        }
        if (isset($spec['applies']['answer'])) {
            $spec['applies']['answer']['step'] = $name($spec['applies']['answer']['step']);
        }

        return $spec;
    }

    /**
     * Everything that the steps of a template have against them, each at its place (`steps.3.spec.of`).
     *
     * @param mixed $steps decoded JSON, objects as objects
     *
     * @return list<InputError>
     */
    public static function faults(mixed $steps): array
    {
        if (! is_array($steps) || $steps === []) {
            return [InputError::empty('steps')];
        }
        $faults = [];
        foreach (array_values($steps) as $i => $step) {
            foreach (self::ofStep($step) as $fault) {
                $faults[] = $fault->under("steps.{$i}");
            }
        }

        return $faults !== [] ? $faults : self::amongThemselves(
            json_decode((string) json_encode(array_values($steps)), true),
        );
    }

    /**
     * What is wrong with the words of a step is said together with what is wrong with the rest of it.
     *
     * @return list<InputError>
     */
    private static function ofStep(mixed $step): array
    {
        $faults = Schema::faults('step', $step);
        $words = array_filter($faults, static fn(InputError $e): bool => in_array($e->path, ['title', 'text'], true));
        if (! $step instanceof \stdClass || $words === [] || count($words) < count($faults)) {
            return $faults;
        }
        $rest = clone $step;
        [$rest->title, $rest->text] = ['-', ''];

        return [...$faults, ...Schema::faults('step', $rest)];
    }

    /**
     * @param list<array<string, mixed>> $steps
     *
     * @return list<InputError>
     */
    private static function amongThemselves(array $steps): array
    {
        $faults = [];
        foreach ($steps as $i => $step) {
            $inner = self::holds($step['kind']) ? $step['spec']['steps'] : [];
            foreach ([...self::ofBlock($inner, isset($step['spec']['positions'])), ...$step['kind'] === 'functional'
                ? TestSteps::faults($step['spec'])
                : []] as $fault) {
                $faults[] = $fault->under("steps.{$i}.spec");
            }
        }
        $many = count(self::expand($steps));
        if ($many > self::MOST) {
            $faults[] = InputError::at('steps', "come to {$many}; a card has at most ".self::MOST);
        }

        return [...$faults, ...StepRefs::faults($steps)];
    }

    /**
     * @param list<array<string, mixed>> $inner
     *
     * @return list<InputError>
     */
    private static function ofBlock(array $inner, bool $positions): array
    {
        $faults = [];
        foreach ($inner as $k => $step) {
            if (self::holds($step['kind'])) {
                $faults[] = InputError::at("steps.{$k}.kind", 'a block cannot stand in a block');
            }
            if ($positions && isset($step['spec']['group'])) {
                $faults[] = InputError::at("steps.{$k}.spec.group", 'has no meaning in a block');
            }
        }

        return $faults;
    }
}
