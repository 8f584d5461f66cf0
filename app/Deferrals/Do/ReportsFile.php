<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Deferrals\Model\Report;
use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Csv;
use App\Shared\Refused;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** Crew reports as CSV: `mark,at,flight,crew,text`, and `chapter` where it is known; checked whole. */
final readonly class ReportsFile
{
    private const HEAD = ['mark', 'at', 'flight', 'crew', 'text'];

    /** @param list<NewReport> $rows */
    private function __construct(public array $rows) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, string $source, Clock $clock): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        if ($head !== self::HEAD && $head !== [...self::HEAD, 'chapter']) {
            throw Refused::lines('The file is no list of crew reports. Nothing was saved.', [
                ['line' => 'line 1', 'message' => 'must be the columns '.implode(', ', self::HEAD)
                    .', and chapter if known'],
            ]);
        }
        $aircraft = Aircraft::with('type')->get()->keyBy('mark');
        $bad = $rows = $seen = [];
        foreach ($lines as $i => $cells) {
            $at = 'line '.($i + 2);
            try {
                if (count($cells) !== count($head)) {
                    throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
                }
                $row = array_map(trim(...), array_combine($head, $cells));
                $craft = $aircraft->get($row['mark'])
                    ?? throw InputError::at('mark', "there is no aircraft \"{$row['mark']}\"");
                $new = self::of($craft, $row, $source, $clock);
                $key = self::keyOf($new);
                if (isset($seen[$key])) {
                    throw InputError::at('text', "is the same as {$seen[$key]}");
                }
                $seen[$key] = $at;
                $rows[] = $new;
            } catch (InputError $e) {
                $bad[] = ['line' => $at.($e->path === '' ? '' : ", {$e->path}"), 'message' => $e->getMessage()];
            }
        }
        foreach (self::entered($rows) as $key) {
            $bad[] = ['line' => "{$seen[$key]}, text", 'message' => 'is entered already'];
        }
        usort($bad, static fn(array $a, array $b): int => strnatcmp($a['line'], $b['line']));
        if ($bad !== []) {
            throw Refused::file($bad, 'line');
        }

        return $rows === []
            ? throw Refused::lines('The file has no report in it. Nothing was saved.', []) : new self($rows);
    }

    /**
     * @param array<string, string> $row
     *
     * @throws InputError at a column
     */
    private static function of(Aircraft $craft, array $row, string $source, Clock $clock): NewReport
    {
        foreach (['crew', 'text'] as $needed) {
            if ($row[$needed] === '') {
                throw InputError::missing($needed);
            }
        }
        try {
            $happened = Instant::parse($row['at']);
        } catch (InputError $e) {
            throw $e->under('at');
        }
        if ($clock->now()->isBefore($happened)) {
            throw InputError::at('at', "{$happened} is still to come");
        }
        $chapter = ($row['chapter'] ?? '') === '' ? null : $row['chapter'];
        if ($chapter !== null && preg_match('/^\d{2}(-\d{2})?$/D', $chapter) !== 1) {
            throw InputError::at('chapter', "\"{$chapter}\" is not a chapter; enter it as 32 or 32-42");
        }

        return new NewReport($craft, $row['flight'], $happened, $row['crew'], $row['text'], $chapter, $source);
    }

    /**
     * @param list<NewReport> $new
     *
     * @return list<string> keys of those that were entered before
     */
    public static function entered(array $new): array
    {
        $wanted = array_map(static fn(NewReport $r): string => self::keyOf($r), $new);
        $known = [];
        foreach (array_chunk($new, 500) as $some) {
            $known = [...$known, ...Report::whereIn('happened_at', array_map(
                static fn(NewReport $r): string => (string) $r->happened,
                $some,
            ))->get(['aircraft_id', 'happened_at', 'text'])->map(
                static fn(Report $r): string => "{$r->aircraft_id} {$r->happened_at} {$r->text}",
            )->all()];
        }

        return array_values(array_intersect($wanted, $known));
    }

    private static function keyOf(NewReport $r): string
    {
        return "{$r->aircraft->id} {$r->happened} {$r->text}";
    }
}
