<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Library\Model\ProgrammeItem;
use App\Release\ReleaseWords;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Release\Blocker;
use Jorvel\Core\Release\Leaving;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** How numbers, days and codes are said. */
final class WordsTest extends WorldCase
{
    /** @return iterable<string, array{float, string, string}> */
    public static function amounts(): iterable
    {
        yield 'one' => [1.0, 'fh', '1 flight hour'];
        yield 'many' => [41.0, 'fh', '41 flight hours'];
        yield 'one decimal' => [46.5, 'fh', '46.5 flight hours'];
        yield 'no more than one' => [46.449, 'fh', '46.4 flight hours'];
        yield 'float noise is not said' => [50.000000001, 'ldg', '50 landings'];
        yield 'nothing left' => [0.0, 'days', '0 days'];
        yield 'past' => [-3.0, 'days', '-3 days'];
        yield 'one day' => [1.0, 'days', '1 day'];
        yield 'a landing begun is not a landing left' => [74.4, 'ldg', '74 landings'];
        yield 'cycles are whole' => [3562.2, 'cyc', '3562 engine cycles'];
        yield 'past by a part of one is past by one' => [-0.4, 'ldg', '-1 landings'];
        yield 'a counter without words of its own' => [7.0, 'starts', '7 starts'];
    }

    #[DataProvider('amounts')]
    public function test_an_amount(float $value, string $unit, string $words): void
    {
        self::assertSame($words, Words::amount($value, $unit));
    }

    /** @return iterable<int, array{int, string}> */
    public static function days(): iterable
    {
        foreach ([
            0 => 'today', 1 => 'tomorrow', -1 => 'yesterday', 9 => 'in 9 days', -3 => '3 days ago',
        ] as $days => $words) {
            yield $days => [$days, $words];
        }
    }

    #[DataProvider('days')]
    public function test_days_from_now(int $days, string $words): void
    {
        self::assertSame($words, Words::fromNow($days));
    }

    public function test_every_blocker_has_words(): void
    {
        foreach (Blocker::cases() as $blocker) {
            self::assertNotSame($blocker->value, ReleaseWords::blocker([$blocker->value]));
        }
        foreach ([Leaving::PersonAt, Leaving::BegunElsewhere] as $blocker) {
            self::assertNotSame($blocker->value, ReleaseWords::blocker([$blocker->value]));
        }
        self::assertSame('is not closed, has steps not done', ReleaseWords::blocker(['card_open', 'steps_open']));
    }

    public function test_why_not_in_words(): void
    {
        self::assertSame(
            'needs a valid engine skill: it has lapsed',
            Words::unfit('expired:engine', 'perform', 'SKV', 'engine'),
        );
        self::assertSame('has no SKV rating', Words::unfit('no_rating', 'perform', 'SKV', 'engine'));
        self::assertSame('has no authority to certify', Words::unfit('no_authority', 'certify', 'SKV', null));
        self::assertSame('has no engine skill', Words::unfit('no_skill', 'perform', 'SKV', 'engine'));
    }

    public function test_limits_in_words(): void
    {
        $item = new ProgrammeItem(['rule' => 'first', 'rebase' => 'planned', 'limits' => [
            ['unit' => 'fh', 'interval' => 300, 'tolerance' => ['pct' => 5, 'cap' => 15]],
            ['unit' => 'months', 'interval' => 12, 'tolerance' => ['abs' => 15]], ['unit' => 'ldg', 'interval' => 900],
        ]]);
        self::assertSame('300 fh +5 % at most 15 or 12 months +15 or 900 ldg', $item->limitWords());
        $item->rule = 'last';
        self::assertStringContainsString(' and ', $item->limitWords());
    }

    public function test_the_clock_goes_on_from_where_the_demo_starts(): void
    {
        $clock = app(Clock::class);
        $start = Instant::parse((string) config('jorvel.demo_now'));
        // The world was loaded when the suite began; its clock has gone on from its own start ever since.
        self::assertGreaterThanOrEqual($start->epoch(), $clock->now()->epoch());
        self::assertSame('2026-05-05', (string) $clock->today());
        $began = time();
        $clock->start($start);
        $read = $clock->now()->epoch();
        self::assertGreaterThanOrEqual($start->epoch(), $read);
        self::assertLessThanOrEqual(
            time() - $began,
            $read - $start->epoch(),
            'neither behind nor ahead of the time that has passed',
        );
        self::assertSame('Thu 14 May', $clock->words(Day::parse('2026-05-14')));
        self::assertSame('Thu 14 Jan 2027', $clock->words(Day::parse('2027-01-14')));
        self::assertSame('Sat 16 May, 00:00', $clock->local(Instant::parse('2026-05-15T22:00:00Z')), 'summer time');
        self::assertSame('Fri 16 Jan, 00:30', $clock->local(Instant::parse('2026-01-15T23:30:00Z')), 'winter time');
        $clock->start(Instant::parse('2026-12-31T23:30:00Z'));
        self::assertSame('2027-01-01', (string) $clock->today(), 'the operator\'s date, not UTC\'s');
    }

    public function test_the_moment_tells_the_shift_and_what_waits(): void
    {
        $moment = $this->as('mika', 'GET', 'moment')->json();
        self::assertSame(['Skarnholm', 'Europe/Oslo', 'late shift'], [
            $moment['base'], $moment['zone'], $moment['shift'],
        ]);
        self::assertSame([], $moment['waiting'], 'nothing waits for a viewer');
        $this->as('ines', 'GET', 'fleet')->assertOk();
        $waits = fn(string $who): array => $this->as($who, 'GET', 'moment')->json('waiting');
        self::assertSame(['floor' => 3], $waits('oda'), 'her own open cards');
        self::assertSame(
            array_count_values(array_column($this->as('ines', 'GET', 'fleet')->json('rows'), 'state'))['stop'],
            $waits('ines')['fleet'],
            'as many as Fleet says must be planned',
        );
        self::assertSame(1, $waits('runa')['floor'], 'one to inspect');
        app(Clock::class)->start(Instant::parse('2026-05-05T05:00:00Z'));
        self::assertSame('early shift', $this->as('mika', 'GET', 'moment')->json('shift'));
    }
}
