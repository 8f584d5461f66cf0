<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Shared\Refused;
use Jorvel\Core\Bench\Rigging\Buckles;

/** The threads that show at turnbuckles, counted before anything is turned. */
final class RigThreads
{
    /** What such entries are called among the readings: before the adjuster and the number of the end, from 0. */
    public const BEFORE = 'threads:';

    /** More threads than any barrel shows. */
    private const MOST = 200.0;

    /**
     * @param array<string, mixed> $spec of the step
     * @param array<string, string> $entries as sent
     *
     * @return array<string, list<float>> by adjuster: both ends of the first buckle, then of the second
     *
     * @throws Refused for one that is missing, no number, or where the ends of a buckle are not even
     */
    public static function read(array $spec, array $entries): array
    {
        $out = [];
        foreach ($spec['adjusters'] as $is) {
            foreach (isset($is['buckles']) ? range(0, 3) : [] as $end) {
                $name = $is['buckles']['names'][intdiv($end, 2)];
                $entry = str_replace(',', '.', trim($entries[self::BEFORE."{$is['id']}:{$end}"] ?? ''));
                if (! is_numeric($entry) || (float) $entry < 0 || (float) $entry > self::MOST) {
                    throw Refused::because("{$is['title']}: count how many threads show at both ends of the buckle of "
                        ."{$name}. Nothing was saved.");
                }
                $out[$is['id']][] = (float) $entry;
            }
            $ends = $out[$is['id']] ?? null;
            if ($ends !== null && in_array('uneven_ends', self::buckles($is, $ends)->reasons(), true)) {
                throw Refused::because("{$is['title']}: the ends of a buckle differ by more than one thread. Even them "
                    .'first, then read. Nothing was saved.');
            }
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $adjuster of the sheet, with `buckles`
     * @param list<float|int> $ends both of the first buckle, then of the second
     */
    public static function buckles(array $adjuster, array $ends): Buckles
    {
        [$a, $b, $c, $d] = array_map(floatval(...), $ends);

        return Buckles::showing([$a, $b], [$c, $d], (float) $adjuster['buckles']['max_threads']);
    }

    /**
     * How far each pair reaches from where it stood.
     *
     * @param array<string, mixed> $spec of the step
     * @param array<string, list<float|int>> $threads by adjuster
     *
     * @return array<string, array{float, float}>
     */
    public static function reach(array $spec, array $threads): array
    {
        $of = array_column($spec['adjusters'], null, 'id');
        $out = [];
        foreach ($threads as $id => $ends) {
            $out[$id] = self::buckles($of[$id], $ends)->reach();
        }

        return $out;
    }
}
