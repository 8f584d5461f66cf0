<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\Washer;

/** What was really turned, as it was entered: entered, not assumed. */
final class RigTurned
{
    /**
     * @param array<string, mixed> $spec of the step
     * @param array<string, string> $entries signed amounts by adjuster; '' and none for nothing
     * @param array<string, float> $past what each was moved before
     * @param RigModel $model as it was begun from: how far each reaches
     *
     * @return array<string, float> of those that were moved
     *
     * @throws Refused for no number, no adjuster, or beyond its travel
     */
    public static function read(array $spec, array $entries, array $past, RigModel $model): array
    {
        $adjusters = array_column($spec['adjusters'], null, 'id');
        $reach = array_column($model->adjusters, null, 'id');
        $out = [];
        foreach ($entries as $id => $entry) {
            $is = $adjusters[$id] ?? throw Refused::because("There is no adjuster {$id}. Nothing was saved.");
            $entry = str_replace([',', '−'], ['.', '-'], trim($entry));
            if ($entry === '') {
                continue;
            }
            if (! is_numeric($entry) || is_infinite((float) $entry)) {
                throw Refused::because(
                    "{$is['title']}: \"{$entry}\" is no number of {$is['unit']}. Nothing was saved.",
                );
            }
            // A washer goes by whole serrations: it was turned by what they make.
            $amount = isset($is['washer'])
                ? Washer::from($is['washer'])->turn((float) $entry)->achieved
                : (float) $entry;
            $at = ($past[$id] ?? 0.0) + $amount;
            if (! $reach[$id]->reaches($at)) {
                $threads = isset($is['buckles']) && ($reach[$id]->min > $is['min'] || $reach[$id]->max < $is['max']);
                throw Refused::because("{$is['title']} would be ".Words::number($at, 2)." {$is['unit']} from where it "
                    .'stood, beyond its travel of '.Words::number($reach[$id]->min, 2).' to '
                    .Words::number($reach[$id]->max, 2).($threads ? ', as far as its threads go' : '')
                    .'. Nothing was saved.');
            }
            if ($amount !== 0.0) {
                $out[$id] = $amount;
            }
        }

        return $out;
    }
}
