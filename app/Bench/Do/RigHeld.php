<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** What must hold before a point is read: oil at its temperature, friction set, nothing disconnected. */
final class RigHeld
{
    /** What such entries are called among the readings, before their id. */
    public const BEFORE = 'holds:';

    /** What is ticked once the cautions of a ground run are read out and everybody is in place. */
    public const CAUTIONS = 'cautions';

    /**
     * @param array<string, mixed> $spec of the step
     * @param array<string, string> $entries as sent
     *
     * @return array<string, string> by id, as it was said
     *
     * @throws Refused for one that is missing or does not hold
     */
    public static function said(array $spec, array $entries): array
    {
        $out = [];
        if (($spec['ground']['cautions'] ?? []) !== [] && trim($entries[self::BEFORE.self::CAUTIONS] ?? '') === '') {
            throw Refused::because('Before the run: '.implode('; ', $spec['ground']['cautions']).'. Say that it is so. '
                .'Nothing was saved.');
        }
        foreach ($spec['requires'] ?? [] as $must) {
            $entry = trim($entries[self::BEFORE.$must['id']] ?? '');
            if ($entry === '') {
                throw Refused::because("Before anything is read: {$must['title']}. Nothing was saved.");
            }
            $out[$must['id']] = isset($must['unit']) ? self::measured($must, $entry) : $must['title'];
        }

        return ($spec['ground']['cautions'] ?? []) === []
            ? $out
            : [self::CAUTIONS => 'Cautions read out, crew in place', ...$out];
    }

    /**
     * @param array<string, mixed> $must
     *
     * @throws Refused
     */
    private static function measured(array $must, string $entry): string
    {
        $unit = Unit::parse((string) $must['unit']);
        try {
            $value = Entered::parse($entry, $unit)->in($unit)->value;
        } catch (InputError $e) {
            throw Refused::because("{$must['title']}: {$e->getMessage()}. Nothing was saved.");
        }
        if (! ReadingLimit::between($unit, (float) $must['min'], (float) $must['max'])->holds($value)) {
            throw Refused::because("{$must['title']} is ".Words::number($value, 2)." {$unit->label()}; it must lie "
                .'within '.Words::number((float) $must['min'], 2).' and '.Words::number((float) $must['max'], 2)
                .' before anything is read. Nothing was saved.');
        }

        return "{$must['title']}: ".Words::number($value, 2)." {$unit->label()}";
    }
}
