<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Show\View\SwapMove;
use App\Deferrals\Show\View\SwapView;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector as Row;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Shared\Day;

/** What the core proposes where a line cannot be flown by whoever it is planned for. */
final readonly class ShowSwap
{
    public function __construct(private Clock $clock, private Swaps $swaps) {}

    public function of(Aircraft $aircraft, Day $date): SwapView
    {
        [$swap, $fleet, $rows] = $this->swaps->of($aircraft->type_id, $date);
        $moves = self::moves($swap->assigned, $swap->changed, $rows);
        $open = array_map(
            fn(array $o): string => "{$this->flights($rows[$o['line']])} of {$o['line']}: ".implode(', ', array_map(
                fn(string $mark, string $why): string => "{$mark} ".$this->why($why, $fleet, $rows),
                array_map(strval(...), array_keys($o['why'])),
                $o['why'],
            )).'.',
            $swap->open,
        );
        $day = $this->clock->words($date);

        return new SwapView(
            match (true) {
                $moves === [] && $open === [] => "Every line of {$day} can be flown as it is planned.",
                $moves === [] => "No other {$aircraft->type->code} can take a line on {$day}.",
                default => ShowSectors::moves($moves).', and '.($open === []
                    ? "every line of {$day} is flown."
                    : Words::count(count($open), 'line stays', 'lines stay').' open.'),
            },
            (string) $date,
            $moves !== [],
            array_map(static fn(array $m): SwapMove => new SwapMove($m['from'], $m['to'], $m['flights']), $moves),
            $open,
        );
    }

    /**
     * @param array<string, string> $assigned aircraft by line
     * @param list<string> $changed
     * @param array<string, list<array{Row, Sector}>> $rows
     *
     * @return list<array{from: string, to: string, flights: string}>
     */
    public static function moves(array $assigned, array $changed, array $rows): array
    {
        return array_map(static fn(string $line): array => [
            'from' => $line, 'to' => $assigned[$line], 'flights' => self::flights($rows[$line]),
        ], $changed);
    }

    /** @param list<array{Row, Sector}> $line */
    private static function flights(array $line): string
    {
        return implode(', ', array_map(static fn(array $s): string => $s[0]->number, $line));
    }

    /**
     * @param Collection<string, Aircraft> $fleet
     * @param array<string, list<array{Row, Sector}>> $rows
     */
    private function why(string $why, Collection $fleet, array $rows): string
    {
        [$what, $of, $code] = explode(':', $why, 3) + [1 => '', 2 => ''];

        return match ($what) {
            'station' => 'stands elsewhere',
            'not_free' => 'is not free by then',
            'hours' => 'has too few hours left',
            'landings' => 'has too few landings left',
            'flies' => "flies the line of {$of}",
            default => 'may not fly '.$this->number((int) $of, $rows).' ('.self::short($code).')',
        };
    }

    private static function short(string $code): string
    {
        [$what, $of] = explode(':', $code, 2) + [1 => ''];

        return $what === 'forbidden' ? DeferralWords::condition($of) : str_replace('_', ' ', $what);
    }

    /** @param array<string, list<array{Row, Sector}>> $rows */
    private function number(int $id, array $rows): string
    {
        foreach ($rows as $line) {
            foreach ($line as [$row]) {
                if ($row->id === $id) {
                    return $row->number;
                }
            }
        }

        return 'it';
    }
}
