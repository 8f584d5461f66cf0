<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A UTC time column as the core's instant.
 *
 * @implements CastsAttributes<Instant|null, Instant|string|null>
 */
final class AsInstant implements CastsAttributes
{
    /** @param array<string, mixed> $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Instant
    {
        return $value === null ? null : Instant::parse($value);
    }

    /** @param array<string, mixed> $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : (string) $value;
    }
}
