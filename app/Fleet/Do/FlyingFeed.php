<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Refused;
use Jorvel\Core\Fleet\FlyingSimulator;

/**
 * The operator's flying programme, stood in for by a simulator: what was flown since the last count, and the sectors
 * that are planned. It answers with the same files a person would bring, so both go one way. On demand it sends a
 * fault.
 */
final readonly class FlyingFeed
{
    public const FAULTS = ['backwards', 'jump', 'unknown'];

    private const SEED = 2026;

    private const PLACES = ['Skarnholm', 'Port Ellery', 'Halvik', 'Norrand', 'Osterby'];

    public function __construct(private Clock $clock) {}

    /** @throws Refused when everything up to yesterday is counted */
    public function flown(?string $fault = null): string
    {
        $yesterday = $this->clock->today()->plusDays(-1);
        $programme = FlyingSimulator::seeded(self::SEED);
        $lines = [];
        $all = Aircraft::with(['visits' => static fn($q) => $q->where('state', 'in_work')])->orderBy('mark')->get();
        foreach ($all as $craft) {
            $day = $craft->counters_as_of->plusDays(1);
            for (; $day->number <= $yesterday->number; $day = $day->plusDays(1)) {
                $flown = $craft->visits->isEmpty()
                    ? $programme->day($craft->mark, $day, $craft->rates)
                    : array_map(static fn(): float => 0.0, $craft->rates);
                $lines[] = [$craft->mark, (string) $day, $flown['fh'] ?? '', $flown['ldg'] ?? ''];
            }
        }
        if ($lines === []) {
            throw Refused::because("Everything flown up to {$yesterday} is already counted.");
        }
        if ($fault === 'jump') {
            $lines[0][2] = 31;
        } elseif ($fault === 'unknown') {
            $lines[0][0] = 'QZ-000';
        }
        if ($fault === 'backwards') {
            $craft = Aircraft::where('mark', $lines[0][0])->firstOrFail();

            return "mark,date,fh_total,ldg_total\r\n{$lines[0][0]},{$lines[0][1]},".($craft->counters['fh'] - 100)
                .",{$craft->counters['ldg']}\r\n";
        }

        return "mark,date,fh,ldg\r\n".implode(
            '',
            array_map(static fn(array $l): string => implode(',', $l)."\r\n", $lines),
        );
    }

    /** Sectors of the coming fortnight for aircraft that fly no week's pattern. */
    public function sectors(): string
    {
        $programme = FlyingSimulator::seeded(self::SEED + 1);
        $today = $this->clock->today();
        $text = "mark,date,number,from,to,fh,ldg\r\n";
        foreach (Aircraft::whereNull('week')->orderBy('mark')->get() as $craft) {
            for ($n = 1; $n <= 14; $n++) {
                $day = $today->plusDays($n);
                $flown = $programme->day($craft->mark, $day, $craft->rates, 0.45);
                $place = static fn(string $q): string => self::PLACES[(int) floor(
                    $programme->chance($craft->mark, $day, $q) * count(self::PLACES),
                )];
                if (($flown['fh'] ?? 0) > 0.2) {
                    $text .= implode(
                        ',',
                        [
                            $craft->mark,
                            $day,
                            sprintf('%s%02d', substr($craft->mark, -1), $n),
                            $craft->base,
                            $place('to'),
                            $flown['fh'],
                            max(1, (int) ($flown['ldg'] ?? 1)),
                        ],
                    )."\r\n";
                }
            }
        }

        return $text;
    }
}
