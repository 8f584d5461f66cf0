<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\RigRun;
use App\Floor\Model\Step;
use App\Shared\Csv;

/** A rigging as files: what was read and turned, round by round. */
final readonly class RiggingFile
{
    public function csv(Step $step): string
    {
        $rows = [];
        foreach (RigRun::ofLast($step->runs->toBase()) as $run) {
            $rows = [...$rows, ...self::lines($step, $run)];
        }

        return Csv::write(
            ['round', 'ground run', 'read at', 'what', 'name', 'value', 'unit', 'min', 'max', 'foretold', 'sd'],
            $rows,
        );
    }

    /** @return array<string, mixed> */
    public function json(Step $step): array
    {
        return [
            'aircraft' => $step->card->aircraft->mark, 'card' => $step->card->number, 'step' => $step->no,
            'title' => $step->title, 'model' => $step->spec,
            'rounds' => RigRun::ofLast($step->runs->toBase())->map(static fn(RigRun $r): array => [
                'round' => $r->no, 'ground_run' => $r->ground,
                'read_at' => $r->read_at === null ? null : (string) $r->read_at,
                'held' => $r->held ?? [], 'readings' => $r->as_found, 'answer' => $r->solution, 'turned' => $r->turned,
                'threads_before' => $r->threads,
                'as_left' => $r->as_left, 'believed_before' => $r->prior,
            ])->all(),
        ];
    }

    /** @return list<list<string|int|float|null>> */
    private static function lines(Step $step, RigRun $run): array
    {
        $head = [$run->no, $run->ground, $run->read_at === null ? '' : (string) $run->read_at];
        $rows = [];
        foreach ($step->spec['points'] as $p) {
            $next = $run->solution['predicted'][$p['id']] ?? null;
            $rows[] = [
                ...$head, 'reading', $p['title'], $run->as_found[$p['id']] ?? null, $p['unit'], $p['min'], $p['max'],
                $next['mean'] ?? null, $next['sd'] ?? null,
            ];
        }
        foreach ($step->spec['adjusters'] as $a) {
            if (($run->turned[$a['id']] ?? 0.0) !== 0.0) {
                $rows[] = [
                    ...$head, "turned, {$a['positive']} counts up", $a['title'], $run->turned[$a['id']], $a['unit'],
                    null, null, null, null,
                ];
            }
        }
        foreach ($step->spec['adjusters'] as $a) {
            foreach ($run->threads[$a['id']] ?? [] as $end => $showing) {
                $rows[] = [
                    ...$head, 'threads showing', "{$a['title']}, {$a['buckles']['names'][intdiv($end, 2)]}", $showing,
                    'threads', null, $a['buckles']['max_threads'], null, null,
                ];
            }
        }
        if ($run->as_left !== null) {
            foreach ($step->spec['points'] as $p) {
                $rows[] = [
                    ...$head, 'as left', $p['title'], $run->as_left[$p['id']] ?? null, $p['unit'], $p['min'], $p['max'],
                    null, null,
                ];
            }
        }

        return $rows;
    }
}
