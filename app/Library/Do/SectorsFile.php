<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Do\FlyingCheck;
use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Csv;
use App\Shared\Refused;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/**
 * Planned flights as CSV, checked whole: `mark,date,number,from,to`, then, where the programme says them, `departs` and
 * `arrives` (local, `07:30`; an arrival after midnight is of the next day) and `conditions` (names, or none, with
 * spaces between them), and a column a counter.
 */
final readonly class SectorsFile
{
    /**
     * @param list<array{
     *   line: int, aircraft: Aircraft, date: string, number: string, from_place: string, to_place: string,
     *   use: array<string, float>, departs_at: string|null, arrives_at: string|null, conditions: list<string>|null,
     * }> $rows
     */
    private function __construct(public array $rows) {}

    private const SAID = ['departs', 'arrives', 'conditions'];

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, Day $today, Clock $clock): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        if (array_slice($head, 0, 5) !== ['mark', 'date', 'number', 'from', 'to'] || count($head) < 6) {
            throw Refused::lines(
                'The file is not a list of sectors. Nothing was changed.',
                [[
                    'line' => 'line 1',
                    'message' => 'must begin with the columns mark, date, number, from, to, then one column a '
                        .'counter (fh, ldg)',
                ]],
            );
        }
        $aircraft = Aircraft::all()->keyBy('mark');
        $bad = $rows = $seen = [];
        foreach ($lines as $i => $cells) {
            try {
                if (count($cells) !== count($head)) {
                    throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
                }
                $craft = $aircraft->get(trim($cells[0])) ?? throw InputError::at(
                    'mark',
                    "there is no aircraft \"{$cells[0]}\"",
                );
                $date = self::date(trim($cells[1]), $today);
                $number = trim($cells[2]) === '' ? throw InputError::at('number', 'is missing') : trim($cells[2]);
                if (isset($seen["{$craft->id}/{$date}/{$number}"])) {
                    throw InputError::at('number', "\"{$number}\" of {$craft->mark} on {$date} is used twice");
                }
                $seen["{$craft->id}/{$date}/{$number}"] = true;
                $rows[] = [
                    'line' => $i + 2,
                    'aircraft' => $craft,
                    'date' => $date,
                    'number' => $number,
                    'from_place' => trim($cells[3]),
                    'to_place' => trim($cells[4]),
                    ...self::when($clock, Day::parse($date), array_combine($head, $cells)),
                    'use' => FlyingCheck::amounts(
                        $craft,
                        array_diff_key(array_slice(array_combine($head, $cells), 5), array_flip(self::SAID)),
                        $craft->counters,
                    ),
                ];
            } catch (InputError $e) {
                $bad[] = [
                    'line' => 'line '.($i + 2).($e->path === '' ? '' : ", {$e->path}"),
                    'message' => $e->getMessage(),
                ];
            }
        }
        if ($bad !== []) {
            throw Refused::file($bad, 'line');
        }
        if ($rows === []) {
            throw Refused::lines('The file has no sector in it. Nothing was changed.', []);
        }

        return new self($rows);
    }

    /**
     * When it flies and what it meets, as far as the file says it.
     *
     * @param array<string, string> $row
     *
     * @return array{departs_at: string|null, arrives_at: string|null, conditions: list<string>|null}
     *
     * @throws InputError at a column
     */
    private static function when(Clock $clock, Day $date, array $row): array
    {
        $at = ['departs' => null, 'arrives' => null];
        foreach (array_keys($at) as $column) {
            $cell = trim($row[$column] ?? '');
            if ($cell !== '' && preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $cell) !== 1) {
                throw InputError::at($column, "\"{$cell}\" is not a time; enter it as 07:30");
            }
            $at[$column] = $cell === '' ? null : $clock->at($date, $cell);
        }
        if (($at['departs'] === null) !== ($at['arrives'] === null)) {
            throw InputError::at($at['departs'] === null ? 'departs' : 'arrives', 'is missing; give both or neither');
        }
        if ($at['departs'] !== null && $at['arrives']->isBefore($at['departs'])) {
            $at['arrives'] = $clock->at($date->plusDays(1), trim($row['arrives']));
        }
        $conditions = isset($row['conditions'])
            ? preg_split('/\s+/', trim($row['conditions']), -1, PREG_SPLIT_NO_EMPTY) : null;
        $unknown = array_diff($conditions ?: [], (array) config('jorvel.flight_conditions'));
        if ($unknown !== []) {
            throw InputError::at('conditions', 'has '.implode(', ', $unknown).'; known are '
                .implode(', ', (array) config('jorvel.flight_conditions')));
        }

        return [
            'departs_at' => $at['departs'] === null ? null : (string) $at['departs'],
            'arrives_at' => $at['arrives'] === null ? null : (string) $at['arrives'],
            'conditions' => $conditions === null ? null : ($conditions ?: []),
        ];
    }

    private static function date(string $text, Day $today): string
    {
        try {
            $date = Day::parse($text);
        } catch (InputError $e) {
            throw $e->under('date');
        }

        return $date->number <= $today->number ? throw InputError::at(
            'date',
            "{$date} is not to come; what was flown belongs on a flying sheet",
        ) : (string) $date;
    }
}
