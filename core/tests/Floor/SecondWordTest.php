<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Floor;

use Jorvel\Core\Floor\SecondWord;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SecondWordTest extends TestCase
{
    /** @return iterable<string, array{string|null, int|null, SecondWord|null}> who said it, how long ago */
    public static function words(): iterable
    {
        yield 'nobody' => [null, null, SecondWord::NotSaid];
        yield 'somebody else, just now' => ['7', 0, null];
        yield 'at the end of the time it stands' => ['7', 300, null];
        yield 'a second too long ago' => ['7', 301, SecondWord::TooLongAgo];
        yield 'whoever does it' => ['3', 5, SecondWord::SamePerson];
    }

    #[DataProvider('words')]
    public function test_it_is_somebody_elses_and_fresh(?string $by, ?int $ago, ?SecondWord $is): void
    {
        $now = Instant::parse('2026-05-05T12:00:00Z');
        $at = $ago === null ? null : Instant::fromEpoch($now->epoch() - $ago);
        self::assertSame($is, SecondWord::missing($by, $at, '3', $now, 300));
    }
}
