<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use ReflectionProperty;
use Stringable;

/**
 * The JSON schema that a request's rules amount to: `list` and `array` with `.*` are a list and a map of whatever is
 * named, `array` with named fields an object; what is `required` or `present` has to be there. Bounds stay with the
 * rules.
 */
final class RequestSchema
{
    private const TYPES = [
        'integer' => 'integer', 'numeric' => 'number', 'boolean' => 'boolean', 'list' => 'array', 'array' => 'object',
    ];

    /**
     * @param array<string, mixed> $rules by field, with dots
     * @param array<string, string> $says what a field means, by field
     *
     * @return array<string, mixed>
     */
    public static function of(array $rules, array $says = []): array
    {
        $tree = [];
        foreach ($rules as $field => $rule) {
            $at = &$tree;
            foreach (explode('.', $field) as $part) {
                $at = &$at['in'][$part];
            }
            $at['rules'] = is_string($rule) ? explode('|', $rule) : (array) $rule;
            $at['says'] = $says[$field] ?? null;
            $at['of'] = substr($field, 0, (int) strrpos($field, '.'));
            unset($at);
        }

        return self::object($tree);
    }

    /**
     * @param array<string, mixed> $at
     *
     * @return array<string, mixed>
     */
    private static function object(array $at): array
    {
        $fields = array_map(self::one(...), $at['in'] ?? []);
        $required = array_keys(array_filter(
            $at['in'] ?? [],
            // What comes only with the object it is of is there whenever that is.
            static fn(array $f): bool => array_intersect(
                self::texts($f['rules'] ?? []),
                ['required', 'present', 'required_with:'.($f['of'] ?? '')],
            ) !== [],
        ));

        return ['type' => 'object', ...$fields === [] ? [] : ['properties' => $fields]]
            + ($required === [] ? [] : ['required' => $required]);
    }

    /**
     * @param array<string, mixed> $at
     *
     * @return array<string, mixed>
     */
    private static function one(array $at): array
    {
        $rules = self::texts($at['rules'] ?? []);
        $type = 'string';
        foreach ($rules as $rule) {
            $type = self::TYPES[explode(':', $rule)[0]] ?? $type;
        }
        $inner = $at['in'] ?? [];
        $schema = match (true) {
            $type === 'array' => ['type' => 'array', 'items' => self::one($inner['*'] ?? [])],
            isset($inner['*']) => ['type' => 'object', 'additionalProperties' => self::one($inner['*'])],
            $inner !== [] => self::object($at),
            in_array('file', $rules, true) => ['type' => 'string', 'format' => 'binary'],
            $type === 'object' => ['type' => 'object', 'additionalProperties' => true],
            default => ['type' => $type],
        };
        $few = self::few($at['rules'] ?? []);

        return array_filter([
            ...$schema,
            'type' => in_array('nullable', $rules, true) ? [$schema['type'], 'null'] : $schema['type'],
            'enum' => $few !== null && in_array('nullable', $rules, true) ? [...$few, null] : $few,
            'description' => $at['says'] ?? null,
        ], static fn(mixed $v): bool => $v !== null);
    }

    /**
     * @param array<int, mixed> $rules
     *
     * @return list<string|int>|null the few values that there are
     */
    private static function few(array $rules): ?array
    {
        foreach ($rules as $rule) {
            if ($rule instanceof Enum) {
                $enum = (new ReflectionProperty($rule, 'type'))->getValue($rule);

                return array_map(static fn(\BackedEnum $case): string|int => $case->value, $enum::cases());
            }
            $text = $rule instanceof In || is_string($rule) ? (string) $rule : '';
            if (str_starts_with($text, 'in:')) {
                return array_map(static fn(?string $v): string => trim((string) $v, '"'), str_getcsv(substr($text, 3)));
            }
        }

        return null;
    }

    /**
     * @param array<int, mixed> $rules
     *
     * @return list<string>
     */
    private static function texts(array $rules): array
    {
        return array_values(array_map(strval(...), array_filter(
            $rules,
            static fn(mixed $r): bool => is_string($r) || $r instanceof Stringable,
        )));
    }
}
