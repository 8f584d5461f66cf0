<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** The numbers of a limit that flow from earlier readings, put in place of the expressions that name them. */
final class Flowing
{
    private const NUMBERS = ['min', 'max', 'nominal', 'plus', 'minus'];

    /** A reading of the last card of the same kind. */
    public const LAST = 'last_';

    /** The same reading at the other of two positions: the sister's value. */
    public const OTHER = 'other_';

    /**
     * The expressions of a limit, by the field that each stands in; empty where all its numbers are numbers.
     *
     * @param array<string, mixed> $limit
     *
     * @return array<string, Expression>
     *
     * @throws InputError at the field
     *
     * @pure
     */
    public static function expressions(array $limit): array
    {
        $out = [];
        foreach (self::NUMBERS as $field) {
            if (is_string($limit[$field] ?? null)) {
                try {
                    $out[$field] = Expression::of($limit[$field]);
                } catch (InputError $e) {
                    throw $e->under($field);
                }
            }
        }

        return $out;
    }

    /**
     * Names that a limit waits for: those without a value yet.
     *
     * @param array<string, mixed> $limit
     * @param array<string, array{float, string}> $read value and unit by name; the empty unit for a plain number
     *
     * @return list<string>
     *
     * @pure
     */
    public static function waitsFor(array $limit, array $read): array
    {
        $names = array_merge(...array_map(
            static fn(Expression $e): array => $e->names,
            array_values(self::expressions($limit)),
        ));

        return array_values(array_unique(array_diff($names, array_keys($read))));
    }

    /**
     * The limit with numbers only. What was read in another unit of the same dimension is brought to the limit's.
     *
     * @param array<string, mixed> $limit
     * @param array<string, array{float, string}> $read as for {@see waitsFor()}
     *
     * @return array<string, mixed>
     *
     * @throws InputError at the field, for what is not read yet or read in another dimension
     *
     * @pure
     */
    public static function resolve(array $limit, array $read): array
    {
        $unit = Unit::parse((string) $limit['unit']);
        foreach (self::expressions($limit) as $field => $expression) {
            $values = [];
            foreach (array_intersect_key($read, array_flip($expression->names)) as $name => [$value, $in]) {
                $of = $in === '' ? $unit : Unit::parse($in);
                if ($of->dimension() !== $unit->dimension()) {
                    throw InputError::at($field, "{$name} is in {$in}; the limit is in {$unit->value}");
                }
                $values[$name] = $of->to($unit, $value);
            }
            try {
                // As fine as anything is read, so that no limit has an end that nobody can tell from another.
                $limit[$field] = round($expression->value($values), 6);
            } catch (InputError $e) {
                throw $e->under($field);
            }
        }

        return $limit;
    }
}
