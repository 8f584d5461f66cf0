<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Do\FlyingCheck;
use App\Fleet\Model\Aircraft;
use App\Shared\Csv;
use App\Shared\Refused;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/**
 * Flying as CSV: `mark,date,fh,ldg,…`, one day of one aircraft a line; or with counter readings,
 * `mark,date,fh_total,…`. It is checked whole.
 */
final readonly class FlyingFile
{
    /**
     * @param list<array{
     *   line: int, aircraft: Aircraft, date: Day, flown: array<string, float>, known: Day,
     *   before: array<string, float>,
     * }> $rows
     *   as they come; `known` is the day to which the aircraft is counted before it, `before` what the file has of the
     *   same day already
     */
    private function __construct(public array $rows) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, Day $today): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        if (array_slice($head, 0, 2) !== ['mark', 'date'] || count($head) < 3) {
            throw Refused::lines(
                'The file is not a flying sheet. Nothing was changed.',
                [[
                    'line' => 'line 1',
                    'message' => 'must begin with the columns mark, date, then one column a counter (fh, ldg, cyc), '
                        .'or its reading (fh_total)',
                ]],
            );
        }
        $twice = array_keys(array_filter(array_count_values($head), static fn(int $n): bool => $n > 1));
        if ($twice !== []) {
            throw Refused::lines(
                'The file has a column twice. Nothing was changed.',
                [[
                    'line' => 'line 1',
                    'message' => 'names '.implode(', ', $twice).' more than once; which of them counts?',
                ]],
            );
        }
        $aircraft = Aircraft::with('type.items')->get()->keyBy('mark');
        $known = $aircraft->map(static fn(Aircraft $a): array => [$a->counters_as_of, $a->counters])->all();
        $bad = $rows = $pages = [];
        foreach ($lines as $i => $cells) {
            try {
                [$row, $mark, $day] = self::row($head, $cells, $aircraft, $known, $pages, $today);
                $before = $pages[$mark][$day] ?? [];
                FlyingCheck::requireFits($row['flown'], $before);
                foreach ($row['flown'] as $counter => $amount) {
                    $pages[$mark][$day][$counter] = round(($before[$counter] ?? 0.0) + $amount, 3);
                }
                $row += ['line' => $i + 2, 'known' => $known[$mark][0], 'before' => $before];
                $counters = $known[$mark][1];
                foreach ($row['flown'] as $counter => $amount) {
                    $counters[$counter] += $amount;
                }
                $known[$mark] = [$row['date'], $counters];
                $rows[] = $row;
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
            throw Refused::lines('The file has no flying in it. Nothing was changed.', []);
        }

        return new self($rows);
    }

    /**
     * @param list<string> $head
     * @param list<string> $cells
     * @param Collection<string, Aircraft> $aircraft
     * @param array<string, array{Day, array<string, float>}> $known day already counted, and the counters at its end,
     *   by mark
     * @param array<string, array<string, array<string, float>>> $pages what the file has, by mark and day
     *
     * @return array{array{aircraft: Aircraft, date: Day, flown: array<string, float>}, string, string} with mark and
     *   day
     */
    private static function row(
        array $head,
        array $cells,
        Collection $aircraft,
        array $known,
        array $pages,
        Day $today,
    ): array {
        if (count($cells) !== count($head)) {
            throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
        }
        $craft = $aircraft->get(trim($cells[0])) ?? throw InputError::at(
            'mark',
            "there is no aircraft \"{$cells[0]}\"",
        );
        try {
            $date = Day::parse(trim($cells[1]));
        } catch (InputError $e) {
            throw $e->under('date');
        }
        [$day, $counters] = $known[$craft->mark];
        // A further page of the day that the file has come to.
        $page = isset($pages[$craft->mark][(string) $date]) && $day->number === $date->number;
        $flown = array_slice(array_combine($head, $cells), 2);
        $flown = $page ? FlyingCheck::amounts($craft, $flown, $counters) : FlyingCheck::day(
            $craft,
            $date,
            $flown,
            $counters,
            $day,
            $today,
        );

        return [['aircraft' => $craft, 'date' => $date, 'flown' => $flown], $craft->mark, (string) $date];
    }
}
