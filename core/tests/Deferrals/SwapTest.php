<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Matching;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which aircraft flies which line. */
final class SwapTest extends TestCase
{
    private const SECTOR = [
        'id' => '1', 'departs' => '2026-05-06T05:00:00Z', 'arrives' => '2026-05-06T06:00:00Z', 'fh' => 1.0, 'ldg' => 1,
        'icing' => false,
    ];

    private const DEFERRED = [
        'id' => 'D', 'system' => '30', 'inoperative' => 0, 'installed' => 1, 'required' => 1, 'expires_at' => null,
    ];

    /**
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>, string|null}> line, aircraft, why not
     */
    public static function fits(): iterable
    {
        $carries = static fn(array $what): array => ['deferred' => [$what + self::DEFERRED]];
        yield 'fits' => [[], [], null];
        yield 'stands elsewhere' => [['station' => 'ELL'], ['free_from' => '2027-01-01T00:00:00Z'], 'station'];
        yield 'free by the departure' => [[], ['free_from' => '2026-05-06T05:00:00Z'], null];
        yield 'free a second later' => [[], ['free_from' => '2026-05-06T05:00:01Z'], 'not_free'];
        yield 'hours to a hair' => [
            ['sectors' => [['fh' => 0.1] + self::SECTOR, [
                'id' => '2', 'departs' => '2026-05-06T06:00:00Z', 'arrives' => '2026-05-06T07:00:00Z', 'fh' => 0.2,
            ] + self::SECTOR]],
            ['left' => ['fh' => 0.3]],
            null,
        ];
        yield 'too few hours, before too few landings' => [[], ['left' => ['fh' => 0.9, 'ldg' => 0]], 'hours'];
        yield 'too few landings' => [[], ['left' => ['ldg' => 0]], 'landings'];
        yield 'a sector that is no-go, by its first reason' => [
            ['sectors' => [['icing' => true] + self::SECTOR]],
            $carries(['forbid' => ['icing' => true], 'placard' => false]),
            'no_go:1:forbidden:icing',
        ];
        yield 'restricted is allowed' => [[], $carries(['restrict' => ['max_a' => 1]]), null];
        yield 'no sectors: free at any time' => [['sectors' => []], ['free_from' => '2030-01-01T00:00:00Z'], null];
    }

    /**
     * @param array<string, mixed> $line
     * @param array<string, mixed> $aircraft
     */
    #[DataProvider('fits')]
    public function test_who_fits(array $line, array $aircraft, ?string $why): void
    {
        $answer = json_decode(Door::compute('swap', (string) json_encode([
            'lines' => [$line + ['id' => 'L', 'station' => 'SKA', 'sectors' => [self::SECTOR]]],
            'aircraft' => [$aircraft + ['id' => 'A', 'station' => 'SKA', 'free_from' => '2026-05-06T00:00:00Z']],
            'at' => '2026-05-05T12:00:00Z',
        ])), true);
        self::assertSame($why === null ? ['L' => 'A'] : [], $answer['assigned']);
        self::assertSame($why === null ? [] : [['line' => 'L', 'why' => ['A' => $why]]], $answer['open']);
        self::assertTrue($answer['proven']);
    }

    public function test_most_lines_then_fewest_taken_then_fewest_restricted_as_trying_all_says(): void
    {
        $chance = Chance::seeded(250);
        for ($n = 0; $n < 60; $n++) {
            $aircraft = $lines = [];
            for ($a = 0; $a < 1 + $chance->below(5); $a++) {
                $aircraft[] = [
                    'id' => "A{$a}", 'station' => ['SKA', 'ELL'][$chance->below(2)],
                    'free_from' => '2026-05-06T00:00:00Z',
                    'deferred' => [[
                        'forbid' => ['icing' => $chance->below(2) === 0],
                        'restrict' => $chance->below(2) === 0 ? (object) [] : ['max_a' => 1],
                    ] + self::DEFERRED],
                ];
            }
            for ($l = 0; $l < 1 + $chance->below(5); $l++) {
                $planned = $chance->below(count($aircraft) + 1);
                $two = ['id' => '2', 'departs' => '2026-05-06T06:00:00Z',
                    'arrives' => '2026-05-06T07:00:00Z'] + self::SECTOR;
                $lines[] = [
                    'id' => "L{$l}", 'station' => ['SKA', 'SKA', 'ELL'][$chance->below(3)],
                    'sectors' => [
                        ['icing' => $chance->below(3) === 0] + self::SECTOR,
                        ...$chance->below(2) === 0 ? [] : [$two],
                    ],
                ] + ($planned < count($aircraft) ? ['planned' => "A{$planned}"] : []);
            }
            $answer = json_decode(Door::compute('swap', (string) json_encode([
                'lines' => $lines, 'aircraft' => $aircraft, 'at' => '2026-05-05T12:00:00Z',
            ])), true);
            $score = [0, 0, 0];
            foreach ($lines as $line) {
                $by = $answer['assigned'][$line['id']] ?? null;
                if ($by !== null) {
                    $score = self::plus($score, $line, $aircraft[(int) substr($by, 1)]);
                }
            }
            self::assertSame(self::best($lines, $aircraft), $score);
            self::assertSame(-$score[1], count($answer['changed']));
            self::assertSame(count($lines), count($answer['assigned']) + count($answer['open']));
            self::assertSame(count($answer['assigned']), count(array_unique($answer['assigned'])));
        }
    }

    /**
     * @param list<array<string, mixed>> $lines
     * @param array<int, array<string, mixed>> $aircraft
     *
     * @return array{int, int, int} lines flown, minus lines taken, minus sectors restricted
     */
    private static function best(array $lines, array $aircraft): array
    {
        if ($lines === []) {
            return [0, 0, 0];
        }
        $line = array_pop($lines);
        $best = self::best($lines, $aircraft);
        foreach ($aircraft as $a => $one) {
            $icing = array_filter(array_column($line['sectors'], 'icing')) !== []
                && $one['deferred'][0]['forbid']['icing'];
            if ($line['station'] === $one['station'] && ! $icing) {
                $left = $aircraft;
                unset($left[$a]);
                $best = max($best, self::plus(self::best($lines, $left), $line, $one));
            }
        }

        return $best;
    }

    /**
     * @param array{int, int, int} $score
     * @param array<string, mixed> $line
     * @param array<string, mixed> $by
     *
     * @return array{int, int, int}
     */
    private static function plus(array $score, array $line, array $by): array
    {
        return [
            $score[0] + 1,
            $score[1] - (($line['planned'] ?? $by['id']) === $by['id'] ? 0 : 1),
            $score[2] - (is_array($by['deferred'][0]['restrict']) ? count($line['sectors']) : 0),
        ];
    }

    public function test_a_matching_is_the_cheapest_of_all(): void
    {
        $chance = Chance::seeded(7);
        for ($n = 0; $n < 300; $n++) {
            $costs = [];
            $columns = 1 + $chance->below(5);
            for ($r = $chance->below(6); $r >= 0; $r--) {
                $costs[] = array_filter(
                    array_map(static fn(): int => $chance->below(9), range(1, $columns)),
                    static fn(): bool => $chance->below(3) > 0,
                );
            }
            [$of, $proven] = Matching::cheapest($costs, $columns, 40);
            $taken = array_filter($of, static fn(?int $c): bool => $c !== null);
            self::assertSame(count($taken), count(array_unique($taken)));
            $cost = 0;
            foreach ($of as $r => $c) {
                $cost += $c === null ? 40 : $costs[$r][$c];
            }
            self::assertSame(self::least($costs, []), $cost);
            self::assertTrue($proven);
        }
    }

    /**
     * @param list<array<int, int>> $costs
     * @param array<int, true> $taken
     */
    private static function least(array $costs, array $taken): int
    {
        if ($costs === []) {
            return 0;
        }
        $row = array_shift($costs);
        $least = 40 + self::least($costs, $taken);
        foreach (array_diff_key($row, $taken) as $c => $cost) {
            $least = min($least, $cost + self::least($costs, $taken + [$c => true]));
        }

        return $least;
    }
}
