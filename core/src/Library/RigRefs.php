<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\RigNextCheck;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Bench\Rigging\Washer;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** What a rigging sheet says of itself: its effects, its matches and its drawing name only what it has. */
final class RigRefs
{
    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError> each at its place
     *
     * @pure
     */
    public static function faults(array $spec): array
    {
        $faults = [];
        foreach (['points', 'adjusters', 'requires'] as $list) {
            $ids = array_column($spec[$list] ?? [], 'id');
            foreach (array_diff_key($ids, array_unique($ids)) as $i => $id) {
                $faults[] = InputError::usedTwice("spec.{$list}.{$i}.id", $id);
            }
        }
        foreach (['points', 'requires'] as $list) {
            foreach ($spec[$list] ?? [] as $i => $row) {
                if (isset($row['unit']) && Unit::tryFrom((string) $row['unit']) === null) {
                    $faults[] = InputError::at("spec.{$list}.{$i}.unit", "\"{$row['unit']}\" is not a unit");
                }
            }
        }
        try {
            $model = RigModel::from($spec);
            RigNextCheck::names($model->points, $model->adjusters, $model->effects, $model->matches);
        } catch (InputError $e) {
            $faults[] = $e->under('spec');
        }
        foreach ($spec['requires'] ?? [] as $i => $must) {
            if (isset($must['min'], $must['max']) && $must['min'] > $must['max']) {
                $faults[] = InputError::reversed("spec.requires.{$i}");
            }
        }

        return [...$faults, ...self::counted($spec), ...self::drawing($spec)];
    }

    /**
     * Serrated washers and turnbuckles: a washer goes in degrees that it has to the serration, buckles in turns.
     *
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function counted(array $spec): array
    {
        $faults = [];
        foreach ($spec['adjusters'] as $i => $is) {
            $at = "spec.adjusters.{$i}";
            if (isset($is['buckles']) && $is['unit'] !== 'turns') {
                $faults[] = InputError::at("{$at}.unit", 'must be turns, as buckles are turned');
            }
            if (! isset($is['washer'])) {
                continue;
            }
            if ($is['unit'] !== 'deg' || $is['positive'] !== 'cw') {
                $faults[] = InputError::at("{$at}.unit", 'must be deg, and positive cw, as a washer is turned');

                continue;
            }
            try {
                $adjuster = Adjuster::of(
                    $is['id'],
                    (float) $is['step'],
                    (float) $is['min'],
                    (float) $is['max'],
                    Turn::from($is['positive']),
                );
                if (! Washer::from($is['washer'])->has($adjuster->step, max(array_map(abs(...), $adjuster->reach())))) {
                    $faults[] = InputError::at("{$at}.step", 'is not had by whole serrations as far as it goes');
                }
            } catch (InputError $e) {
                $faults[] = $e->under("{$at}.washer");
            }
        }

        return $faults;
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<InputError>
     */
    private static function drawing(array $spec): array
    {
        $faults = [];
        $parts = $spec['drawing']['parts'] ?? [];
        $named = [
            'point' => array_column($spec['points'], 'id'), 'adjuster' => array_column($spec['adjusters'], 'id'),
            'from' => array_column($parts, 'id'), 'to' => array_column($parts, 'id'),
        ];
        foreach ($parts as $i => $part) {
            foreach ($named as $field => $known) {
                if (is_string($part[$field] ?? null) && ! in_array($part[$field], $known, true)) {
                    $of = match ($field) {
                        'point' => 'points', 'adjuster' => 'adjusters', default => 'parts',
                    };
                    $faults[] = InputError::notAmong("spec.drawing.parts.{$i}.{$field}", $of, $part[$field]);
                }
            }
        }

        return $faults;
    }
}
