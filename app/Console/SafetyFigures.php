<?php

declare(strict_types=1);

namespace App\Console;

use App\Shared\Clock;
use App\Shared\Records;
use Closure;
use Jorvel\Core\Shared\Instant;
use RuntimeException;
use Tests\Safety\BaseDay;

/**
 * Days of a base at chance, many more than the tests walk through: acts, what was rightly held, and how often a rule of
 * safe work was broken (docs/safety.md). It needs the test libraries, which judge from the tables alone.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class SafetyFigures
{
    use OwnWorld;

    /** Acts of one day; then a new world, and another seed. */
    private const DAY = 1000;

    /**
     * @param int $acts all together, at least 1
     * @param int $from the first world, so that several machines may share the acts
     * @param Closure(string): void $tell what was broken, as it is found
     * @param Closure(string): void $say how far it is
     *
     * @return iterable<Figure>
     */
    public function measure(int $acts, int $from, Closure $tell, Closure $say): iterable
    {
        if (! class_exists(BaseDay::class)) {
            throw new RuntimeException('The days are judged by the test libraries, and they are not installed.');
        }
        // Nobody signs as often as these days do.
        config(['jorvel.sign_a_minute' => 1_000_000]);
        $sums = ['acts' => 0, 'went through' => 0, 'refused' => 0, 'rightly held' => 0, 'sent again' => 0];
        $broken = 0;
        for ($seed = $from; $sums['acts'] < $acts; $seed++) {
            $many = min(self::DAY, $acts - $sums['acts']);
            $day = $this->inOwnWorld(fn(): BaseDay => $this->day($seed, $many));
            $sums['acts'] += $many;
            $sums['went through'] += array_sum($day->done);
            $sums['refused'] += $day->refused;
            $sums['rightly held'] += $day->held;
            $sums['sent again'] += $day->replayed;
            $broken += count($day->violations);
            array_map(static fn(string $v) => $tell("seed {$seed}, act {$v}"), $day->violations);
            $say("{$sums['acts']} of {$acts} acts, {$broken} violations");
        }
        foreach ($sums as $what => $many) {
            yield self::figure($what, $many, null);
        }
        yield self::figure('violations', $broken, 1.0);
    }

    private function day(int $seed, int $acts): BaseDay
    {
        $day = new BaseDay(
            $this->ask(...),
            static fn(string $at) => app(Clock::class)->start(Instant::parse($at)),
            $seed,
        );
        $day->run($acts);
        $chain = app(Records::class)->verify()['broken'];
        if ($chain !== null) {
            $day->violations[] = "the chain of records is broken at {$chain['id']}: {$chain['why']}";
        }

        return $day;
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array{int, array<string, mixed>} status and answer
     */
    private function ask(string $login, string $path, array $body, string $key): array
    {
        Inside::as($login);
        $response = Inside::ask('POST', $path, $body, $key);

        return [$response->getStatusCode(), (array) json_decode((string) $response->getContent(), true)];
    }

    /** @return Figure */
    private static function figure(string $metric, int $value, ?float $aim): array
    {
        return [
            'bench' => 'safety', 'metric' => $metric, 'value' => (float) $value, 'unit' => '', 'aim' => $aim,
            'more' => false,
        ];
    }
}
