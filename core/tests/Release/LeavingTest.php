<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Release;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Release\Leaving;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LeavingTest extends TestCase
{
    private static function on(string $visit): OnAircraft
    {
        $card = new CardRef("k{$visit}", '001-01', 'a card', CardProgress::InWork, $visit);
        $touch = new Touch(['hydraulics'], 'nose');
        $since = Instant::parse('2026-05-05T10:00:00Z');

        return new OnAircraft(
            [new PersonAt('p', 'Oda Fenn', $card, $touch, $since)],
            [],
            [new Acting('a', $card, 3, 'pump', How::Pressurises, ['hydraulics'], $touch, $since, true, 'Oda Fenn')],
            [],
            [$card],
        );
    }

    /**
     * @return iterable<string, array{OnAircraft, list<string>, list<string>}> what is there, places left empty, and the
     *   codes
     */
    public static function pictures(): iterable
    {
        yield 'nothing' => [new OnAircraft, [], []];
        yield 'in this visit: who is at it and what is live, not that it is begun'
            => [self::on('1'), [], ['person_at:p', 'system_live:a']];
        yield 'in another visit: that too'
            => [self::on('2'), [], ['person_at:p', 'system_live:a', 'begun_elsewhere:k2']];
        yield 'a place left empty, last' => [
            self::on('2'),
            ['7', '9'],
            ['person_at:p', 'system_live:a', 'begun_elsewhere:k2', 'part_missing:7', 'part_missing:9'],
        ];
    }

    /**
     * @param list<string> $missing
     * @param list<string> $found
     */
    #[DataProvider('pictures')]
    public function test_what_keeps_an_aircraft_from_leaving(OnAircraft $on, array $missing, array $found): void
    {
        self::assertSame(
            $found,
            array_map(static fn(array $b): string => "{$b['code']}:{$b['id']}", Leaving::blockers($on, '1', $missing)),
        );
    }
}
