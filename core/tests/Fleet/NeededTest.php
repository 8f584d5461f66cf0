<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\Needed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How many aircraft a task needs, those that fly most first. */
final class NeededTest extends TestCase
{
    /** @return iterable<string, array{list<float>, float, float, int}> */
    public static function cases(): iterable
    {
        yield 'nothing to fly' => [[3.0, 2.0], 0.0, 1.0, 0];
        yield 'the first does it' => [[2.0, 3.0], 3.0, 1.0, 1];
        yield 'a little more than the first' => [[2.0, 3.0], 3.1, 1.0, 2];
        yield 'each can fly more than it does' => [[2.0, 3.0], 4.5, 1.5, 1];
        yield 'all of them do not' => [[2.0, 3.0], 9.0, 1.0, 2];
        yield 'there is none' => [[], 1.0, 1.0, 0];
    }

    /** @param list<float> $rates */
    #[DataProvider('cases')]
    public function test_as_many_as_the_task_takes(array $rates, float $task, float $more, int $needed): void
    {
        self::assertSame($needed, Needed::of($rates, $task, $more));
    }

    public function test_no_fewer_would_do(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 500; $i++) {
            $rates = array_map(static fn(): float => mt_rand(0, 60) / 10, range(1, mt_rand(1, 12)));
            $task = mt_rand(0, 400) / 10;
            $n = Needed::of($rates, $task, 1.0);
            rsort($rates);
            self::assertTrue($n === count($rates) || array_sum(array_slice($rates, 0, $n)) >= $task - 1e-9);
            self::assertTrue($n === 0 || array_sum(array_slice($rates, 0, $n - 1)) < $task);
        }
    }
}
