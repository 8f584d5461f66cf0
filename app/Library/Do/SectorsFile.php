<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Do\FlyingCheck;
use App\Fleet\Model\Aircraft;
use App\Shared\Csv;
use App\Shared\Refused;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Planned flights as CSV: `mark,date,number,from,to,fh,ldg,…`, checked whole. */
final readonly class SectorsFile
{
    /**
     * @param list<array{
     *   line: int, aircraft: Aircraft, date: string, number: string, from_place: string, to_place: string,
     *   use: array<string, float>,
     * }> $rows
     */
    private function __construct(public array $rows) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, Day $today): self
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
                    'use' => FlyingCheck::amounts(
                        $craft,
                        array_slice(array_combine($head, $cells), 5),
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
