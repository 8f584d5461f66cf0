<?php

declare(strict_types=1);

namespace Tests;

/** What is in order where a step asks for something: read, or entered as a condition. */
final readonly class InOrder
{
    /** @param array<string, mixed> $limit a value that is well inside it */
    public static function inside(array $limit): float
    {
        return match ($limit['kind']) {
            'range' => round(($limit['min'] + $limit['max']) / 2, 2),
            'max' => round($limit['max'] > 0 ? $limit['max'] * 0.5 : $limit['max'] - 1, 2),
            'min' => round($limit['min'] > 0 ? $limit['min'] * 1.1 : $limit['min'] + 1, 2),
            default => (float) $limit['nominal'],
        };
    }

    /**
     * @param array<string, mixed> $spec of the begin of a test
     *
     * @return array<string, string> each within what it may be
     */
    public static function conditions(array $spec): array
    {
        return array_map(static fn(array $c): string => isset($c['unit'])
            ? (string) (isset($c['min']) ? $c['min'] + 1 : ($c['max'] ?? 20) / 2)
            : 'Pia', array_column($spec['conditions'] ?? [], null, 'id'));
    }
}
