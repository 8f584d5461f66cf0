<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Deferrals\Category;
use Jorvel\Core\Deferrals\Deferral;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClockTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>}> what is given beside a good base;
     *   what must come out
     */
    public static function cases(): iterable
    {
        $usage = ['at_discovery' => ['ldg' => 100], 'counters' => ['ldg' => 110], 'rates' => ['ldg' => 2]];
        yield 'the day of discovery does not count' => [
            ['category' => 'B'],
            [
                'expires_at' => '2026-05-04T22:00:00Z', 'last_local_date' => '2026-05-04', 'days_left' => 2,
                'status' => 'due_soon',
            ],
        ];
        yield 'an instant before the end it is not expired' => [
            ['category' => 'B', 'as_of' => '2026-05-04T21:59:59Z'],
            ['days_left' => 0, 'status' => 'due_soon'],
        ];
        yield 'at the end it is' => [
            ['category' => 'B', 'as_of' => '2026-05-04T22:00:00Z'], ['days_left' => -1, 'status' => 'expired'],
        ];
        yield 'the tighter of rule and limit' => [
            ['category' => 'C', 'limits' => ['days' => 4]],
            ['last_local_date' => '2026-05-05', 'driver' => 'days'],
        ];
        yield 'a wider limit changes nothing'
            => [['category' => 'C', 'limits' => ['days' => 40]], ['last_local_date' => '2026-05-11']];
        yield 'rules of its own' => [
            ['category' => 'D', 'rules' => ['D' => 60]], ['last_local_date' => '2026-06-30', 'status' => 'open'],
        ];
        yield 'category A by use alone has no calendar' => [
            ['category' => 'A', 'limits' => ['ldg' => 30], ...$usage],
            [
                'expires_at' => null, 'last_local_date' => null, 'days_left' => null, 'usage_left' => ['ldg' => 20],
                'forecast_last_date' => '2026-05-12', 'driver' => 'ldg', 'status' => 'open',
            ],
        ];
        yield 'use at its limit is not beyond it' => [
            ['category' => 'A', 'limits' => ['ldg' => 10], ...$usage],
            ['usage_left' => ['ldg' => 0], 'forecast_last_date' => '2026-05-02', 'status' => 'due_soon'],
        ];
        // Against wall clocks: 3 days from the local day of discovery, to the end of that day there.
        $walls = [
            'in the night, while it is yesterday in '
                .'UTC' => ['Europe/Oslo', '2026-04-30T22:30:00Z', '2026-05-04', '2026-05-04T22:00:00Z'],
            'in the evening, while it is tomorrow in '
                .'UTC' => ['America/Bogota', '2026-05-02T03:30:00Z', '2026-05-04', '2026-05-05T05:00:00Z'],
            'over the end of a short '
                .'month' => ['Europe/Oslo', '2026-02-27T10:00:00Z', '2026-03-02', '2026-03-02T23:00:00Z'],
            'over a leap day' => ['Europe/Oslo', '2028-02-27T10:00:00Z', '2028-03-01', '2028-03-01T23:00:00Z'],
            'over the end of a year' => ['Europe/Oslo', '2026-12-30T10:00:00Z', '2027-01-02', '2027-01-02T23:00:00Z'],
            'over the day that has 23 '
                .'hours' => ['Europe/Oslo', '2026-03-27T10:00:00Z', '2026-03-30', '2026-03-30T22:00:00Z'],
            'over the day that has 25 '
                .'hours' => ['Europe/Oslo', '2026-10-23T10:00:00Z', '2026-10-26', '2026-10-26T23:00:00Z'],
            'in the hour that comes '
                .'twice' => ['Europe/Oslo', '2026-10-25T00:30:00Z', '2026-10-28', '2026-10-28T23:00:00Z'],
            'just west of the date '
                .'line' => ['Pacific/Auckland', '2026-05-01T12:30:00Z', '2026-05-05', '2026-05-05T12:00:00Z'],
            'just east of the date '
                .'line' => ['Pacific/Pago_Pago', '2026-05-01T10:30:00Z', '2026-05-03', '2026-05-04T11:00:00Z'],
            'half an hour off the '
                .'hour' => ['Asia/Kolkata', '2026-05-01T18:31:00Z', '2026-05-05', '2026-05-05T18:30:00Z'],
        ];
        foreach ($walls as $name => [$zone, $found, $last, $ends]) {
            yield $name => [
                ['category' => 'B', 'timezone' => $zone, 'discovered' => $found, 'as_of' => $found],
                ['last_local_date' => $last, 'expires_at' => $ends, 'days_left' => 3],
            ];
        }
        yield 'use beyond its limit expires it' => [
            ['category' => 'C', 'limits' => ['ldg' => 9], ...$usage],
            ['usage_left' => ['ldg' => -1], 'driver' => 'ldg', 'status' => 'expired', 'days_left' => 9],
        ];
        yield 'days win a tie' => [
            ['category' => 'A', 'limits' => ['days' => 4, 'ldg' => 16], ...$usage],
            ['forecast_last_date' => '2026-05-05', 'driver' => 'days'],
        ];
        yield 'past its calendar with use left is expired all the same' => [
            ['category' => 'B', 'as_of' => '2026-05-05T10:00:00Z', 'limits' => ['ldg' => 30], ...$usage],
            ['usage_left' => ['ldg' => 20], 'driver' => 'days', 'status' => 'expired'],
        ];
        yield 'category D has 120 days'
            => [['category' => 'D'], ['last_local_date' => '2026-08-29', 'days_left' => 119, 'status' => 'open']];
        yield 'category A by days alone' => [
            ['category' => 'A', 'limits' => ['days' => 15]],
            ['last_local_date' => '2026-05-16', 'driver' => 'days', 'status' => 'open'],
        ];
        yield 'nothing flown any more: the calendar is still the forecast' => [
            ['category' => 'C', 'limits' => ['ldg' => 30], ...$usage, 'rates' => ['ldg' => 0]],
            ['forecast_last_date' => '2026-05-11', 'driver' => 'days', 'status' => 'open'],
        ];
        yield 'three days before its end it is due soon' => [
            ['category' => 'C', 'as_of' => '2026-05-08T10:00:00Z'],
            ['days_left' => 3, 'status' => 'due_soon'],
        ];
        yield 'four days before it is not'
            => [['category' => 'C', 'as_of' => '2026-05-07T10:00:00Z'], ['days_left' => 4, 'status' => 'open']];
        yield 'an extension adds its days' => [
            ['category' => 'C', 'extensions' => [['days' => 10, 'granted' => '2026-05-11T21:00:00Z']]],
            ['last_local_date' => '2026-05-21'],
        ];
    }

    /**
     * @param array<string, mixed> $given
     * @param array<string, mixed> $expected
     */
    #[DataProvider('cases')]
    public function test_it_reads(array $given, array $expected): void
    {
        $answer = json_decode(
            Door::compute(
                'clock',
                (string) json_encode([
                    ...[
                        'discovered' => '2026-05-01T10:00:00Z', 'timezone' => 'Europe/Oslo',
                        'as_of' => '2026-05-02T10:00:00Z',
                    ],
                    ...$given,
                ]),
            ),
            true,
        );
        self::assertEquals($expected, array_intersect_key($answer, $expected));
    }

    public function test_category_a_without_any_limit_is_carried_by_nothing(): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('are needed for category A');
        Deferral::of(
            Category::A,
            Instant::parse('2026-05-01T10:00:00Z'),
            new \DateTimeZone('UTC'),
            null,
            [],
            [],
            [],
            Deferral::RULES,
        );
    }

    /** @return iterable<string, array{string, string, string}> zone, last local date, first instant after it */
    public static function midnights(): iterable
    {
        yield 'an ordinary one' => ['Europe/Oslo', '2026-01-10', '2026-01-10T23:00:00Z'];
        yield 'the day after the clocks go on' => ['Europe/Oslo', '2026-03-29', '2026-03-29T22:00:00Z'];
        yield 'no midnight: the clocks go on at it' => ['America/Sao_Paulo', '2018-11-03', '2018-11-04T03:00:00Z'];
        yield 'midnight twice: the clocks go back at it' => ['America/Sao_Paulo', '2018-02-17', '2018-02-18T03:00:00Z'];
        yield 'a date that was skipped' => ['Pacific/Apia', '2011-12-29', '2011-12-30T10:00:00Z'];
        yield 'UTC has no transitions' => ['UTC', '2026-05-04', '2026-05-05T00:00:00Z'];
    }

    #[DataProvider('midnights')]
    public function test_the_first_instant_after_a_local_date(string $zone, string $day, string $instant): void
    {
        $timezone = new \DateTimeZone($zone);
        $found = Instant::firstAfter(Day::parse($day), $timezone);
        self::assertSame($instant, (string) $found);
        self::assertSame(
            $day,
            (string) Instant::fromEpoch($found->epoch() - 1)->dayIn($timezone),
            'the second before is still that date',
        );
        self::assertGreaterThan(Day::parse($day)->number, $found->dayIn($timezone)->number);
    }
}
