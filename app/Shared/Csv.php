<?php

declare(strict_types=1);

namespace App\Shared;

/** CSV as RFC 4180 has it: a head, CRLF, quotes where needed. */
final class Csv
{
    /** @return list<list<string>> every line, without empty ones at the end */
    public static function read(string $text): array
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

    /**
     * A cell that a spreadsheet would take for a formula is given a leading apostrophe, unless it is a number.
     *
     * @param list<string> $head
     * @param iterable<list<string|int|float|null>> $rows
     */
    public static function write(array $head, iterable $rows): string
    {
        $text = self::line($head);
        foreach ($rows as $row) {
            $text .= self::line($row);
        }

        return $text;
    }

    /** @param list<string|int|float|null> $cells */
    private static function line(array $cells): string
    {
        return implode(',', array_map(static function (string|int|float|null $cell): string {
            $text = (string) $cell;
            $text = preg_match('/^[=+\-@\t\r]/', $text) === 1 && ! is_numeric($text) ? "'{$text}" : $text;

            return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
        }, $cells))."\r\n";
    }
}
