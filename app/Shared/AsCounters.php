<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use UnexpectedValueException;

/**
 * Amounts by counter (`fh`, `ldg`, `cyc` …), a JSON object in the database: always floats, also where JSON has whole
 * numbers, and nothing but finite numbers.
 *
 * @implements CastsAttributes<array<string, float>|null, array<string, float|int>|null>
 */
final class AsCounters implements CastsAttributes
{
    /**
     * @param array<string, mixed> $attributes
     *
     * @return array<string, float>|null
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        return $value === null ? null : self::amounts($key, json_decode($value, true, 4, JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode((object) self::amounts($key, $value), JSON_THROW_ON_ERROR);
    }

    /** @return array<string, float> */
    private static function amounts(string $key, mixed $value): array
    {
        foreach ((array) $value as $counter => $amount) {
            if ((! is_int($amount) && ! is_float($amount)) || ! is_finite((float) $amount)) {
                throw new UnexpectedValueException("{$key}: {$counter} is no number");
            }
        }

        return array_map(floatval(...), (array) $value);
    }
}
