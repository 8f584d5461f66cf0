<?php

declare(strict_types=1);

namespace App\Shared;

use BackedEnum;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * Reads a model's columns without looking for accessors, of which this application has none; numbers and booleans are
 * cast at once, and JSON, days, instants and states are decoded once for each value that it has.
 */
trait QuickColumns
{
    /** @var array<class-string, array<string, string>> casts by class */
    private static array $castsOf = [];

    /** @var array<string, array{string, mixed}> what was decoded, with what it was decoded from, by column */
    private array $decoded = [];

    /** @var array<class-string, static> of which rows are made */
    private static array $blank = [];

    /**
     * A row out of the database is a copy of an empty one, with nothing to be filled in.
     *
     * @param array<string, mixed> $attributes
     * @param bool $exists
     */
    public function newInstance($attributes = [], $exists = false): static
    {
        if ($attributes !== []) {
            return parent::newInstance($attributes, $exists);
        }
        $model = clone (self::$blank[static::class] ??= parent::newInstance());
        $model->exists = $exists;

        return $model->setConnection($this->getConnectionName());
    }

    /** @return array<string, string> */
    public function getCasts(): array
    {
        return self::$castsOf[static::class] ??= parent::getCasts();
    }

    /** @param string $key */
    public function getAttribute($key): mixed
    {
        if (! array_key_exists($key, $this->attributes)) {
            return parent::getAttribute($key);
        }
        $raw = $this->attributes[$key];
        if ($raw === null) {
            return null;
        }

        return match ($this->getCasts()[$key] ?? null) {
            null => $raw,
            'float' => (float) $raw,
            'int', 'integer' => (int) $raw,
            'boolean' => (bool) $raw,
            'array' => is_string($raw) ? $this->decoded($key, $raw) : parent::getAttribute($key),
            default => is_string($raw) ? $this->decoded($key, $raw) : parent::getAttribute($key),
        };
    }

    private function decoded(string $key, string $raw): mixed
    {
        if (($this->decoded[$key][0] ?? null) !== $raw) {
            $cast = $this->getCasts()[$key];
            $this->decoded[$key] = [$raw, match (true) {
                $cast === AsDay::class => Day::parse($raw),
                $cast === AsInstant::class => Instant::parse($raw),
                is_subclass_of($cast, BackedEnum::class) => $cast::from($raw),
                default => parent::getAttribute($key),
            }];
        }

        return $this->decoded[$key][1];
    }
}
