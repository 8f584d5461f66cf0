<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\ChartLimit;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Sheet;
use Jorvel\Core\Bench\SheetLine;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * A reading sheet: many points at once, how far they lie apart, and what is worked out from them. One with as-found and
 * as-left values is read, turned and read again until all is within.
 */
final readonly class ReadSheet implements StepKind
{
    public function __construct(private TakeReading $readings, private Records $records) {}

    public function answers(): array
    {
        return ['read', 'as_found', 'as_left'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $left = $step->spec['left'] ?? false;
        if ($left === ($in->do === 'read')) {
            throw Refused::because($left
                ? 'Say whether it is as found or as left. Nothing was saved.'
                : 'This sheet is read once. Nothing was saved.');
        }
        $run = (int) ($step->result['run'] ?? 0) + ($in->do === 'as_left' ? 0 : 1);
        if ($in->do === 'as_left' && $run === 0) {
            throw Refused::because('Enter the as-found readings first. Nothing was saved.');
        }
        if ($in->do === 'as_found' && $run > 1) {
            throw Refused::because('It was read as found. Enter what it reads after turning; nothing was saved.');
        }
        $kind = match ($in->do) {
            'as_found' => ReadingKind::AsFound, 'as_left' => ReadingKind::AsLeft, default => ReadingKind::Reading,
        };
        [$taken, $limits] = $this->taken($step, $in, $kind, $run);
        $lines = Sheet::from($step->spec)->lines(self::values($taken));
        $verdict = Sheet::verdict(
            array_map(static fn(Taken $t): Verdict => Verdict::from($t->verdict), array_values($taken)),
            $lines,
        );
        $result = [
            'run' => $in->do === 'as_left' ? $run + 1 : $run,
            'verdict' => $verdict->value,
            'limits' => $limits,
            'lines' => array_map(self::line(...), $lines),
            ...$in->note === '' ? [] : ['note' => $in->note],
        ];
        $writes = [
            fn() => $this->readings->commit($by, $step, ...array_values($taken)),
            fn() => $this->records->write($by, 'sheet.read', "card:{$step->card_id}", [
                'step' => $step->no, 'kind' => $kind->value, 'run' => $run, 'verdict' => $verdict->value,
                'values' => self::values($taken), ...$in->note === '' ? [] : ['note' => $in->note],
            ]),
        ];
        if ($verdict === Verdict::Pass) {
            return Worked::done($result, ...$writes);
        }
        $writes[] = static fn() => $step->fill(['result' => $result])->save();

        return $left ? Worked::open(...$writes) : Worked::short($result, $verdict, ...$writes);
    }

    /**
     * @param array<string, Taken> $taken
     *
     * @return array<string, float>
     */
    private static function values(array $taken): array
    {
        return array_map(static fn(Taken $t): float => $t->value, $taken);
    }

    /** @return array<string, mixed> */
    private static function line(SheetLine $l): array
    {
        return [
            'title' => $l->title, 'value' => round($l->value, 6), 'unit' => $l->unit?->label(),
            'verdict' => $l->verdict->value, 'outlier' => $l->outlier,
        ];
    }

    /**
     * Every point of the sheet, judged.
     *
     * @return array{array<string, Taken>, array<string, array<string, mixed>>} by id of the point; the limits that came
     *   from a chart
     *
     * @throws Refused naming the point that is missing, or cannot be
     */
    private function taken(Step $step, StepInput $in, ReadingKind $kind, int $run): array
    {
        $points = array_column($step->spec['points'], null, 'id');
        $open = array_filter($points, static fn(array $p): bool => trim($in->entries[$p['id']] ?? '') === '');
        if ($open !== []) {
            throw Refused::because('Still to be read: '.Words::list(array_column($open, 'place'))
                .'. Nothing was saved.');
        }
        $taken = $limits = [];
        foreach ($points as $id => $p) {
            $tool = isset($p['tool_kind']) ? $in->entries["tool.{$p['tool_kind']}"] ?? $in->tool : '';
            $unit = Unit::parse($p['unit']);
            try {
                $limit = $p['limit'] ?? null;
                $charted = ChartLimit::of(array_values($points), $id, self::values($taken));
                if ($charted !== null) {
                    $limits[$id] = $limit = $charted;
                }
                $taken[$id] = $limit === null
                    ? $this->readings->note(
                        $step,
                        $id,
                        $unit,
                        $in->entries[$id],
                        $p['tool_kind'] ?? null,
                        $tool,
                        $kind,
                        $run,
                    )
                    : $this->readings->ask($step, [
                        'point' => $id, 'limit' => $limit,
                        ...array_intersect_key($p, ['tool_kind' => 0, 'decision' => 0, 'advised' => 0]),
                    ], $in->entries[$id], $tool, $kind, $run, $in->note);
            } catch (InputError $e) {
                throw Refused::because(ucfirst("{$p['place']}: {$e->getMessage()}. Nothing was saved."));
            } catch (Refused $e) {
                throw Refused::because(ucfirst("{$p['place']}: ").$e->getMessage());
            }
        }

        return [$taken, $limits];
    }
}
