<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Refused;
use Jorvel\Core\Fleet\FlyingSimulator;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * The operator's flying programme, stood in for by a simulator: what was flown since the last count, and the sectors
 * that are planned. It answers with the same files a person would bring, so both go one way. On demand it sends a
 * fault.
 */
final readonly class FlyingFeed
{
    public const FAULTS = ['backwards', 'jump', 'unknown'];

    private const SEED = 2026;

    /** Hours before the first of its flights after which a swap comes too late for its crews. */
    private const CREWS = 3;

    /** How often a flight meets something. */
    private const MET = [
        'passengers' => 0.9, 'cloud' => 0.5, 'icing' => 0.15, 'overwater' => 0.3, 'contaminated' => 0.12,
    ];

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

    /**
     * When a flight departs and arrives, on the half hour.
     *
     * @return array{string, string} local
     */
    private static function times(float $chance, float $hours): array
    {
        $departs = 6 * 60 + 30 * (int) floor($chance * 24);
        $arrives = $departs + 30 * (int) ceil($hours * 2);
        $said = static fn(int $m): string => sprintf('%02d:%02d', intdiv($m, 60) % 24, $m % 60);

        return [$said($departs), $said($arrives)];
    }

    /**
     * What the flying programme says of a proposal of who flies whose line: no, where it comes too late for the crews,
     * and now and then because one of them is away.
     *
     * @param list<array{from: string, to: string, flights: string}> $moves
     * @param Instant $first when the first of these flights departs
     *
     * @return array{bool, string}
     */
    public function answer(Day $date, array $moves, Instant $first): array
    {
        if ($first->epoch() - $this->clock->now()->epoch() < self::CREWS * 3600) {
            return [false, 'Too late: the crews of the first flight are on their way.'];
        }
        $programme = FlyingSimulator::seeded(self::SEED + 2);
        foreach ($moves as $move) {
            if ($programme->chance($move['to'], $date, "crew of {$move['from']}") < 0.12) {
                return [false, "The crew of {$move['from']} is away on training and cannot change to {$move['to']}."];
            }
        }

        return [true, 'Accepted; the crews are told.'];
    }

    /** Sectors of the coming fortnight for aircraft that fly no week's pattern. */
    public function sectors(): string
    {
        $programme = FlyingSimulator::seeded(self::SEED + 1);
        $today = $this->clock->today();
        $text = "mark,date,number,from,to,departs,arrives,conditions,fh,ldg\r\n";
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
                            ...self::times($programme->chance($craft->mark, $day, 'departs'), (float) $flown['fh']),
                            implode(' ', array_filter(
                                ['passengers', 'cloud', 'icing', 'overwater', 'contaminated'],
                                static fn(string $c): bool => $programme->chance($craft->mark, $day, $c)
                                    < self::MET[$c],
                            )),
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
