<?php

declare(strict_types=1);

namespace App\Library;

use App\Fleet\Aircraft;
use App\Shared\Refused;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Flying as CSV (RFC 4180): `mark,date,fh,ldg,…`, one day of one aircraft a line, checked whole. */
final readonly class FlyingFile
{
    /** @param list<array{aircraft: Aircraft, date: Day, flown: array<string, float>}> $rows by date */
    private function __construct(public array $rows) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, Day $today): self
    {
        $lines = self::parse($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        if (array_slice($head, 0, 2) !== ['mark', 'date'] || count($head) < 3) {
            throw Refused::lines('The file is not a flying sheet. Nothing was changed.', [['line' => 'line 1', 'message' => 'must begin with the columns mark, date, then one column a counter (fh, ldg, cyc)']]);
        }
        $aircraft = Aircraft::with('type.items')->get()->keyBy('mark');
        $latest = $aircraft->map(static fn(Aircraft $a): int => Day::parse($a->counters_as_of)->number)->all();
        $bad = $rows = [];
        foreach ($lines as $i => $cells) {
            try {
                $row = self::row($head, $cells, $aircraft, $latest, $today);
                $latest[$row['aircraft']->mark] = $row['date']->number;
                $rows[] = $row;
            } catch (InputError $e) {
                $bad[] = ['line' => 'line '.($i + 2).($e->path === '' ? '' : ", {$e->path}"), 'message' => $e->getMessage()];
            }
        }
        if ($bad !== [] || $rows === []) {
            throw Refused::lines($rows === [] && $bad === [] ? 'The file has no flying in it. Nothing was changed.' : (count($bad) === 1 ? 'One line is wrong.' : count($bad).' lines are wrong.').' The whole file was refused and nothing was changed.', $bad);
        }

        return new self($rows);
    }

    /**
     * @param list<string> $head
     * @param list<string> $cells
     * @param Collection<string, Aircraft> $aircraft
     * @param array<string, int> $latest day already counted, by mark
     *
     * @return array{aircraft: Aircraft, date: Day, flown: array<string, float>}
     */
    private static function row(array $head, array $cells, Collection $aircraft, array $latest, Day $today): array
    {
        if (count($cells) !== count($head)) {
            throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
        }
        $craft = $aircraft->get(trim($cells[0])) ?? throw InputError::at('mark', "there is no aircraft \"{$cells[0]}\"");
        try {
            $date = Day::parse(trim($cells[1]));
        } catch (InputError $e) {
            throw $e->under('date');
        }
        $known = Day::fromNumber($latest[$craft->mark]);
        if ($date->number > $today->number) {
            throw InputError::at('date', "{$date} is still to come");
        }
        if ($date->number <= $known->number) {
            throw InputError::at('date', "{$craft->mark} is already counted to the end of {$known}");
        }
        $flown = [];
        foreach (array_slice($head, 2) as $k => $counter) {
            $cell = trim($cells[$k + 2]);
            if ($cell === '' && ! isset($craft->counters[$counter])) {
                continue;
            }
            if (! isset($craft->counters[$counter])) {
                throw InputError::at($counter, "{$craft->mark} has no such counter");
            }
            if (preg_match('/^\d+([.,]\d+)?$/', $cell) !== 1) {
                throw InputError::at($counter, "\"{$cell}\" is not a number of at least 0");
            }
            $flown[$counter] = (float) str_replace(',', '.', $cell);
        }
        if (($flown['fh'] ?? 0) > 24) {
            throw InputError::at('fh', "{$flown['fh']} hours do not fit into one day");
        }
        if (($flown['ldg'] ?? 0) > 60) {
            throw InputError::at('ldg', "{$flown['ldg']} landings do not fit into one day");
        }

        return ['aircraft' => $craft, 'date' => $date, 'flown' => $flown];
    }

    /** @return list<list<string>> without empty lines at the end */
    private static function parse(string $text): array
    {
        $stream = fopen('php://memory', 'w+b');
        assert($stream !== false);
        fwrite($stream, (string) preg_replace('/^\xEF\xBB\xBF/', '', $text));
        rewind($stream);
        $lines = [];
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $lines[] = array_map(strval(...), $cells);
        }
        fclose($stream);
        while ($lines !== [] && $lines[count($lines) - 1] === ['']) {
            array_pop($lines);
        }

        return $lines;
    }
}
