<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use Jorvel\Core\Shared\Day;

/** What is counted: findings, reports, deferrals and removals, each with its day, its aircraft and what it is of. */
final class Events
{
    public const WHAT = ['reports', 'findings', 'deferrals', 'removals'];

    public const BY = ['system', 'type', 'tail', 'part'];

    /**
     * @return Builder rows `id`, `aircraft_id`, `day` (local to UTC), `grp` (by what it is counted) and `again` (1 for
     *   a repeat)
     */
    public static function of(string $what, string $by, Day $from, Day $to): Builder
    {
        $query = match ($what) {
            'reports' => DB::table('reports as e')->selectRaw(
                "e.id, e.aircraft_id, substr(e.happened_at, 1, 10) as day, coalesce(e.chapter, '') as chapter, '' as "
                    .'part, '
                    .'e.repeat_of is not null as again',
            )->where('e.happened_at', '>=', (string) $from)->where('e.happened_at', '<', (string) $to->plusDays(1)),
            'findings' => DB::table('findings as e')->selectRaw(
                "e.id, e.aircraft_id, substr(e.raised_at, 1, 10) as day, e.chapter, '' as part, e.repeat_of is not "
                    .'null as again',
            )->where('e.raised_at', '>=', (string) $from)->where('e.raised_at', '<', (string) $to->plusDays(1)),
            'deferrals' => DB::table('deferrals as e')->join('findings', 'findings.id', '=', 'e.finding_id')->selectRaw(
                "e.id, e.aircraft_id, substr(e.discovered_at, 1, 10) as day, findings.chapter, '' as part, "
                    .'findings.repeat_of is not null as again',
            )->where('e.discovered_at', '>=', (string) $from)->where('e.discovered_at', '<', (string) $to->plusDays(1)),
            'removals' => DB::table('tenures as e')->join('components', 'components.id', '=', 'e.component_id')
                ->selectRaw(
                    "e.id, e.aircraft_id, e.to_date as day, '' as chapter, components.part_no as part, 0 as again",
                )->whereBetween('e.to_date', [(string) $from, (string) $to]),
            default => throw new InvalidArgumentException($what),
        };
        $group = match ($by) {
            'system' => 'substr(ev.chapter, 1, 2)',
            'type' => 'aircraft_types.code',
            'tail' => 'aircraft.mark',
            'part' => 'ev.part',
            default => throw new InvalidArgumentException($by),
        };

        return DB::query()->fromSub($query, 'ev')->join('aircraft', 'aircraft.id', '=', 'ev.aircraft_id')
            ->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id')
            ->selectRaw("ev.id, ev.day, ev.again, aircraft.mark, {$group} as grp")
            ->orderByDesc('ev.day')->orderByDesc('ev.id');
    }

    /** @return array<string, array{int, int}> events and repeats of them, by group */
    public static function counts(string $what, string $by, Day $from, Day $to): array
    {
        return DB::query()->fromSub(self::of($what, $by, $from, $to), 'x')->groupBy('grp')
            ->selectRaw('grp, count(*) as many, sum(again) as again')->get()
            ->mapWithKeys(static fn(object $r): array => [(string) $r->grp => [(int) $r->many, (int) $r->again]])
            ->all();
    }

    /** @return array<string, float> flight hours by group; under '' the whole fleet's */
    public static function hours(string $by, Day $from, Day $to): array
    {
        $group = ['type' => 'aircraft_types.code', 'tail' => 'aircraft.mark'][$by] ?? "''";
        $rows = DB::table('flying_entries')->join('aircraft', 'aircraft.id', '=', 'flying_entries.aircraft_id')
            ->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id')
            ->where('current', true)->whereBetween('date', [(string) $from, (string) $to])
            ->groupBy('grp')
            ->selectRaw("{$group} as grp, sum(json_extract(flown, '$.fh')) as hours")
            ->get();

        return $rows->mapWithKeys(static fn(object $r): array => [(string) $r->grp => (float) $r->hours])->all();
    }
}
