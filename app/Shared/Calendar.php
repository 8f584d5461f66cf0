<?php

declare(strict_types=1);

namespace App\Shared;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** An iCalendar file (RFC 5545) of whole days and of hours in UTC. */
final class Calendar
{
    /** @var list<string> */
    private array $lines;

    private readonly string $stamp;

    public function __construct(string $name, Instant $at)
    {
        $this->stamp = gmdate('Ymd\THis\Z', $at->epoch());
        $this->lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:-//Jorvel//Fleet//EN',
            'CALSCALE:GREGORIAN',
            'METHOD:PUBLISH',
            'X-WR-CALNAME:'.self::escape($name),
        ];
    }

    /**
     * @param string $id unique in the calendar, and the same every time it is written
     * @param Day $to the last day, included
     */
    public function add(string $id, Day $from, Day $to, string $title, string $text): void
    {
        $date = static fn(Day $d): string => str_replace('-', '', (string) $d);
        $this->event(
            $id,
            'DTSTART;VALUE=DATE:'.$date($from),
            'DTEND;VALUE=DATE:'.$date($to->plusDays(1)),
            $title,
            $text,
            'TRANSPARENT',
        );
    }

    /** @param string $id unique in the calendar, and the same every time it is written */
    public function addTimed(string $id, Instant $from, Instant $to, string $title, string $text): void
    {
        $at = static fn(Instant $i): string => gmdate('Ymd\THis\Z', $i->epoch());
        $this->event($id, 'DTSTART:'.$at($from), 'DTEND:'.$at($to), $title, $text, 'OPAQUE');
    }

    private function event(string $id, string $from, string $to, string $title, string $text, string $busy): void
    {
        array_push(
            $this->lines,
            'BEGIN:VEVENT',
            'UID:'.self::escape($id).'@jorvel',
            "DTSTAMP:{$this->stamp}",
            $from,
            $to,
            'SUMMARY:'.self::escape($title),
            'DESCRIPTION:'.self::escape($text),
            "TRANSP:{$busy}",
            'END:VEVENT',
        );
    }

    /** CRLF after each line, and no line of more than 75 octets. */
    public function text(): string
    {
        return implode(
            '',
            array_map(static fn(string $line): string => self::fold($line)."\r\n", [...$this->lines, 'END:VCALENDAR']),
        );
    }

    private static function escape(string $text): string
    {
        return strtr($text, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\r\n" => '\\n', "\n" => '\\n']);
    }

    /** Folds between characters, never inside one. */
    private static function fold(string $line): string
    {
        $out = '';
        $length = 0;
        foreach (mb_str_split($line) as $character) {
            if ($length + strlen($character) > 75) {
                $out .= "\r\n ";
                $length = 1;
            }
            $out .= $character;
            $length += strlen($character);
        }

        return $out;
    }
}
