<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Jorvel\Core\Shared\Day;

/**
 * A date column as the core's day.
 *
 * @implements CastsAttributes<Day|null, Day|string|null>
 */
final class AsDay implements CastsAttributes
{
    /** @param array<string, mixed> $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Day
    {
        return $value === null ? null : Day::parse($value);
    }

    /** @param array<string, mixed> $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : (string) $value;
    }
}
