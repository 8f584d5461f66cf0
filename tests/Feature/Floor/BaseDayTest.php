<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Shared\Clock;
use App\Shared\Records;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;
use Tests\Safety\BaseDay;

/**
 * Days of a base at chance: whatever people do and in whatever order, the rules of safe work hold for every aircraft
 * (docs/safety.md).
 */
final class BaseDayTest extends WorldCase
{
    /** @return iterable<string, array{int}> */
    public static function days(): iterable
    {
        foreach ([11, 21, 13, 14] as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('days')]
    public function test_a_day_at_chance(int $seed): void
    {
        $day = new BaseDay(
            function (string $login, string $path, array $body, string $key): array {
                $response = $this->as($login, 'POST', $path, $body, $key === '' ? null : $key);

                return [$response->getStatusCode(), (array) $response->json()];
            },
            static fn(string $at) => app(Clock::class)->start(Instant::parse($at)),
            $seed,
        );
        $day->run(500);
        self::assertSame([], $day->violations);
        $said = (string) json_encode([$day->done, $day->refused, $day->held]);
        self::assertGreaterThan(18, $day->done['steps'] ?? 0, "the day goes on: {$said}");
        foreach (['clear', 'here', 'loans'] as $what) {
            self::assertGreaterThan(0, $day->done[$what] ?? 0, "{$what}: {$said}");
        }
        self::assertGreaterThan(10, $day->held, 'and much of it is held');
        self::assertGreaterThan(5, $day->replayed);
        // The chain alone: the day itself opens closed cards again and takes its releases out, behind the application's
        // back.
        self::assertNull(app(Records::class)->verify()['broken']);
    }
}
