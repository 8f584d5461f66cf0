<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Now;

use Jorvel\Core\Deferrals\Category;
use Jorvel\Core\Deferrals\Deferral;
use Jorvel\Core\Fleet\Depletion;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\GasReading;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\BottleNow;
use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Now\FoundNow;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;
use Jorvel\Core\Visits\Spell;
use Jorvel\Core\Visits\VisitProgress;
use Jorvel\Core\Visits\VisitStage;
use Jorvel\Core\Visits\WorkHours;

/** Pictures for the tests: only what a case is about is named. Times are UTC; visits begin on 4 May 2026. */
final class Pictures
{
    /**
     * Counted to 4 May 2026, 1,000 flight hours, two a day.
     *
     * @param array<string, mixed> $with
     */
    public static function aircraft(array $with = []): AircraftNow
    {
        return new AircraftNow(...[
            'id' => '1', 'flying' => self::flying(), 'items' => [], 'bottles' => [], 'gone' => [], 'deferrals' => [],
            'findings' => [], 'visits' => [], 'on' => new OnAircraft, ...$with,
        ]);
    }

    public static function flying(string $asOf = '2026-05-04'): Flying
    {
        return Flying::of(Day::parse($asOf), ['fh' => 1000.0], ['fh' => 2.0], [], Day::parse('2020-01-01'));
    }

    /** Category A: so many days from 4 May, and hours from 1,000 on. */
    public static function deferral(string $id, int $days, float $hours = 1e6, bool $done = true): DeferralNow
    {
        return new DeferralNow($id, "f{$id}", Deferral::of(
            Category::A,
            Instant::parse('2026-05-04T08:00:00Z'),
            new \DateTimeZone('UTC'),
            $days,
            ['fh' => $hours],
            ['fh' => 1000.0],
            [],
            Deferral::RULES,
        ), $done);
    }

    /** A bottle that loses one bar a day and was at so many over its minimum on 4 May. */
    public static function bottle(string $id, int $over): BottleNow
    {
        $bar = Unit::parse('bar');
        $readings = array_map(
            static fn(int $n): GasReading
                => GasReading::of(Day::parse('2026-05-04')->plusDays($n - 2), 100.0 + $over + 2 - $n, 21.0, $bar),
            [0, 1, 2],
        );

        return new BottleNow($id, Depletion::of($readings, $bar, 100.0));
    }

    /** @param array<string, mixed> $with times as texts */
    public static function card(string $id, array $with = [], CardProgress $state = CardProgress::Open): CardInVisit
    {
        $times = ['begun', 'closed', 'planned', 'plannedEnd', 'latest'];
        foreach ($times as $time) {
            $with[$time] = isset($with[$time]) ? Instant::parse($with[$time]) : null;
        }

        return new CardInVisit(...[
            'ref' => new CardRef($id, "001-{$id}", "card {$id}", $state, '1'), 'stage' => VisitStage::Look,
            'makes' => null, 'needs' => ['airframe' => 1], 'configuration' => [], 'hours' => 4.0, 'left' => 4.0,
            'spent' => null, 'chain' => false, 'findingId' => null, ...$with,
        ]);
    }

    public static function found(
        string $id,
        string $raised,
        ?string $settled = null,
        FindingProgress $state = FindingProgress::Open,
        ?float $hours = null,
    ): FoundNow {
        return new FoundNow(
            $id,
            $state,
            $hours,
            Instant::parse($raised),
            $settled === null ? null : Instant::parse($settled),
        );
    }

    /**
     * From 4 to 8 May, two airframe people from 8 to 16 o'clock each day; it must have left by 22:00.
     *
     * @param list<CardInVisit> $cards
     * @param list<FoundNow> $findings
     */
    public static function visit(array $cards, array $findings = [], ?string $problem = null): VisitNow
    {
        $spells = [];
        for ($day = 4; $day <= 20; $day++) {
            $date = sprintf('2026-05-%02d', $day);
            $from = Instant::parse("{$date}T08:00:00Z");
            $spells[] = new Spell($from, Instant::fromEpoch($from->epoch() + 8 * 3600), ['airframe' => 2, '*' => 2]);
        }

        return new VisitNow(
            '1',
            VisitProgress::InWork,
            Day::parse('2026-05-04'),
            Day::parse('2026-05-08'),
            Instant::parse('2026-05-08T22:00:00Z'),
            $cards,
            $findings,
            WorkHours::of($spells),
            $problem,
        );
    }
}
