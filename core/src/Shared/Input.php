<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/**
 * A reader over one decoded JSON object that knows its own path.
 *
 * The schema has already judged shape and type; this turns fields into values, and any {@see InputError} that a value's
 * constructor throws comes out with its full path.
 */
final readonly class Input
{
    private function __construct(private \stdClass $data, private string $path) {}

    /** @pure */
    public static function of(\stdClass $data, string $path = ''): self
    {
        return new self($data, $path);
    }

    public function has(string $field): bool
    {
        return property_exists($this->data, $field);
    }

    /** The path of a field; of the object itself for the empty one. */
    public function path(string $field): string
    {
        return match ('') {
            $field => $this->path,
            $this->path => $field,
            default => $this->path.'.'.$field,
        };
    }

    public function error(string $field, string $message): InputError
    {
        return InputError::at($this->path($field), $message);
    }

    public function string(string $field): string
    {
        return (string) $this->get($field);
    }

    public function stringOr(string $field, string $default): string
    {
        return $this->has($field) ? $this->string($field) : $default;
    }

    public function number(string $field): float
    {
        return (float) $this->get($field);
    }

    public function numberOrNull(string $field): ?float
    {
        return $this->has($field) ? $this->number($field) : null;
    }

    public function int(string $field): int
    {
        return (int) $this->get($field);
    }

    public function intOr(string $field, int $default): int
    {
        return $this->has($field) ? $this->int($field) : $default;
    }

    public function bool(string $field): bool
    {
        return (bool) $this->get($field);
    }

    public function day(string $field): Day
    {
        return $this->make($field, Day::parse(...));
    }

    public function instant(string $field): Instant
    {
        return $this->make($field, Instant::parse(...));
    }

    public function unit(string $field): Unit
    {
        return $this->make($field, Unit::parse(...));
    }

    public function object(string $field): self
    {
        $value = $this->get($field);

        return new self($value instanceof \stdClass ? $value : new \stdClass, $this->path($field));
    }

    /** A field that is either an object or a number. */
    public function objectOrNumber(string $field): self|float
    {
        return $this->get($field) instanceof \stdClass ? $this->object($field) : $this->number($field);
    }

    public function objectOrNull(string $field): ?self
    {
        return $this->has($field) ? $this->object($field) : null;
    }

    /** @return array<string, float> keys as strings where PHP allows it; read them back with `(string)` */
    public function numbers(string $field): array
    {
        return $this->has($field) ? array_map(floatval(...), get_object_vars($this->object($field)->data)) : [];
    }

    /** @return array<string, bool> keys as strings where PHP allows it, as in {@see numbers()} */
    public function bools(string $field): array
    {
        return $this->has($field) ? array_map(boolval(...), get_object_vars($this->object($field)->data)) : [];
    }

    /** Whether a field is there and is null, where its schema lets it be. */
    public function isNull(string $field): bool
    {
        return $this->has($field) && $this->data->{$field} === null;
    }

    /** @return list<string> */
    public function strings(string $field): array
    {
        $value = $this->has($field) ? $this->get($field) : [];

        return is_array($value) ? array_map(strval(...), array_values($value)) : [];
    }

    /** @return list<list<string>> */
    public function lists(string $field): array
    {
        $of = static fn(mixed $list): array => array_map(strval(...), array_values((array) $list));

        return array_map($of, array_values((array) $this->get($field)));
    }

    /** @return list<float> */
    public function floats(string $field): array
    {
        return array_map(floatval(...), array_values((array) $this->get($field)));
    }

    /** @return array{float, float} */
    public function pair(string $field): array
    {
        $value = array_values((array) $this->get($field));

        return [(float) $value[0], (float) $value[1]];
    }

    /** @return list<string> the object's field names, in their order */
    public function fields(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->data)));
    }

    /**
     * Each object of a list, turned into a value.
     *
     * @template T
     *
     * @param callable(self, int): T $make
     *
     * @return list<T>
     */
    public function each(string $field, callable $make): array
    {
        $out = [];
        foreach ($this->has($field) ? (array) $this->get($field) : [] as $i => $one) {
            $path = $this->path($field).'.'.$i;
            $out[] = self::within(
                $path,
                fn() => $make(new self($one instanceof \stdClass ? $one : new \stdClass, $path), (int) $i),
            );
        }

        return $out;
    }

    /**
     * Refuses a second use of an id in a list of objects, at the later one's `.id`.
     *
     * @throws InputError
     */
    public function uniqueIds(string $field): void
    {
        $seen = [];
        $this->each($field, function (self $one) use (&$seen): void {
            $id = $one->string('id');
            if (isset($seen['#'.$id])) {
                throw InputError::usedTwice($one->path('id'), $id);
            }
            $seen['#'.$id] = true;
        });
    }

    /**
     * Builds a value from one field.
     *
     * @template T
     *
     * @param callable(string): T $parse
     *
     * @return T
     */
    public function make(string $field, callable $parse): mixed
    {
        return self::within($this->path($field), fn() => $parse($this->string($field)));
    }

    /**
     * Runs a constructor whose errors know only their own field.
     *
     * @template T
     *
     * @param callable(): T $make
     *
     * @return T
     */
    public static function within(string $path, callable $make): mixed
    {
        try {
            return $make();
        } catch (InputError $e) {
            throw str_starts_with($e->path, $path) && $path !== '' ? $e : $e->under($path);
        }
    }

    private function get(string $field): mixed
    {
        return $this->has($field) ? $this->data->{$field} : throw InputError::missing($this->path($field));
    }
}
