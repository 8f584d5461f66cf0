<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Csv;
use App\Shared\Refused;
use Jorvel\Core\Fleet\FlyingSimulator;

/**
 * What crews say of yesterday's flights, stood in for by a simulator: the file that the flying programme would send.
 */
final readonly class CrewFeed
{
    private const SEED = 2027;

    /** How often a day's flying has a report. */
    private const OFTEN = 0.25;

    private const SAY = [
        'pulls right when braking hard', 'radio 2 crackles, worse in rain', 'landing light left dark',
        'windshield heat slow on the right', 'fuel quantity left jumps by a tenth', 'oil temperature needle hangs',
        'heater blows cold', 'beacon lower dark after landing', 'transponder lost once, came back',
        'gear light left slow to come on', 'autopilot hunts in climb', 'seat belt latch stiff, second row',
    ];

    public function __construct(private Clock $clock) {}

    /** @throws Refused where no crew says anything */
    public function reports(): string
    {
        $day = $this->clock->today()->plusDays(-1);
        $programme = FlyingSimulator::seeded(self::SEED);
        $rows = [];
        foreach (Aircraft::orderBy('mark')->get() as $craft) {
            if ($programme->chance($craft->mark, $day, 'report') < self::OFTEN) {
                $what = (int) floor($programme->chance($craft->mark, $day, 'what') * count(self::SAY));
                $hour = 6 + (int) floor($programme->chance($craft->mark, $day, 'hour') * 12);
                $rows[] = [
                    $craft->mark, sprintf('%sT%02d:20:00Z', $day, $hour),
                    substr($craft->mark, -1).sprintf('%02d', $day->dayOfMonth()), 'crew of the day', self::SAY[$what],
                ];
            }
        }

        return $rows === [] ? throw Refused::because("No crew reported anything of {$this->clock->words($day)}.")
            : Csv::write(['mark', 'at', 'flight', 'crew', 'text'], $rows);
    }
}
