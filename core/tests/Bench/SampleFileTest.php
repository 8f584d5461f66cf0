<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\BeyondLimit;
use Jorvel\Core\Bench\RecorderMap;
use Jorvel\Core\Bench\SampleFile;
use Jorvel\Core\Bench\Samples;
use Jorvel\Core\Bench\Thinned;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Recorders' files: what is wrong is named by line, and nothing is guessed. */
final class SampleFileTest extends TestCase
{
    /** @param array<string, mixed> $more */
    private static function map(array $more = []): RecorderMap
    {
        return RecorderMap::from([
            'time' => ['column' => 't', 'base' => 's'], 'mode' => ['column' => 'm', 'auto' => 'A', 'manual' => 'M'],
            'signals' => [['column' => 'Q', 'signal' => 'torque', 'unit' => '%']], ...$more,
        ]);
    }

    /** @return list<string> */
    private static function faults(string $text, ?RecorderMap $map = null): array
    {
        $is = SampleFile::read($text, $map ?? self::map());

        return is_array($is)
            ? array_map(static fn(InputError $e): string => "{$e->path}: {$e->getMessage()}", $is)
            : [];
    }

    /** @return iterable<string, array{string, string}> file, the fault */
    public static function bad(): iterable
    {
        yield 'a column is missing' => ["t,m\n0,A\n1,A", 'line 1: has no column "Q"'];
        yield 'a column is there twice' => ["t,m,Q,Q\n0,A,1,1\n1,A,1,1", 'line 1: has the column "Q" 2 times'];
        yield 'one sample' => ["t,m,Q\n0,A,1", 'line 1: is followed by less than two samples'];
        yield 'a cell too few' => ["t,m,Q\n0,A,1\n1,A\n2,A,1", 'line 3: has 2 cells; 3 are wanted'];
        yield 'no number' => ["t,m,Q\n0,A,1\n1,A,x", 'line 3, torque: "x" is no number'];
        yield 'an empty cell' => ["t,m,Q\n0,A,1\n1,A,", 'line 3, torque: "" is no number'];
        yield 'a time that repeats' => ["t,m,Q\n0,A,1\n0,A,1", 'line 3: repeats the time of the line before, 0'];
        yield 'a clock that jumps' => ["t,m,Q\n5,A,1\n3,A,1", 'line 3: runs back: the clock jumps from 5 s to 3 s'];
        yield 'no time' => ["t,m,Q\n0,A,1\nnoon,A,1", 'line 3, t: "noon" is no time'];
        yield 'another mode' => ["t,m,Q\n0,A,1\n1,X,1", 'line 3, m: "X" is neither A nor M'];
    }

    #[DataProvider('bad')]
    public function test_what_is_wrong_is_named_by_its_line(string $text, string $fault): void
    {
        self::assertContains($fault, self::faults($text));
    }

    public function test_units_are_compared_where_the_file_has_them(): void
    {
        $map = self::map(['units_row' => true]);
        self::assertSame([], self::faults("t,m,Q\ns,,%\n0,A,1\n1,A,2", $map));
        self::assertSame(
            ["line 2, Q: is in \"Nm\"; this recorder's map says %"],
            self::faults("t,m,Q\ns,,Nm\n0,A,1\n1,A,2", $map),
        );
    }

    /** @return iterable<string, array{string, string, string}> base, times with a |, seconds */
    public static function bases(): iterable
    {
        yield 'seconds, from anywhere' => ['s', '100.5|101|102', '0|0.5|1.5'];
        yield 'milliseconds' => ['ms', '0|50|100', '0|0.05|0.1'];
        yield 'minutes' => ['min', '1|1.5|3', '0|30|120'];
        yield 'a clock' => ['clock', '09:59:59.5|10:00:00|10:00:02.25', '0|0.5|2.75'];
    }

    #[DataProvider('bases')]
    public function test_the_time_counts_in_the_base_of_its_recorder(string $base, string $times, string $seconds): void
    {
        $is = SampleFile::read(
            "t,m,Q\n".implode("\n", array_map(static fn(string $t): string => "{$t},A,1", explode('|', $times))),
            self::map(['time' => ['column' => 't', 'base' => $base]]),
        );
        self::assertInstanceOf(SampleFile::class, $is);
        self::assertEqualsWithDelta(array_map(floatval(...), explode('|', $seconds)), $is->samples->t, 1e-9);
    }

    public function test_a_gap_is_told_with_the_line_before_it_and_what_is_around_it_stands(): void
    {
        $rows = [];
        foreach ([...range(0, 20), ...range(40, 60)] as $i) {
            $rows[] = ($i / 10 + ($i >= 40 ? 3 : 0)).",A,{$i}";
        }
        $is = SampleFile::read("t,m,Q\n".implode("\n", $rows), self::map());
        self::assertInstanceOf(SampleFile::class, $is);
        self::assertSame([['from' => 2.0, 'to' => 7.0, 'line' => 22]], $is->gaps);
        self::assertSame(42, $is->samples->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badMaps(): iterable
    {
        yield 'no time' => [['time' => []], 'time.column'];
        yield 'another base' => [['time' => ['column' => 't', 'base' => 'fortnight']], 'time.base'];
        yield 'no signal' => [['signals' => []], 'signals'];
        yield 'another unit' => [
            ['signals' => [['column' => 'Q', 'signal' => 'q', 'unit' => 'furlong']]], 'signals.0.unit',
        ];
        yield 'a rule nowhere' => [
            ['signals' => [['column' => 'Q', 'signal' => 'q', 'unit' => '%', 'rule' => 'X']]], 'signals.0.position',
        ];
        yield 'one name twice' => [['signals' => [
            ['column' => 'Q', 'signal' => 'q', 'unit' => '%'], ['column' => 'R', 'signal' => 'q', 'unit' => '%'],
        ]], 'signals.1.signal'];
        yield 'one mode' => [['mode' => ['column' => 'm', 'auto' => 'A', 'manual' => 'A']], 'mode'];
        yield 'another separator' => [['separator' => '|'], 'separator'];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('badMaps')]
    public function test_a_map_that_is_none_names_its_place(array $more, string $path): void
    {
        try {
            self::map($more);
            self::fail('it was taken');
        } catch (InputError $e) {
            self::assertSame($path, $e->path);
        }
    }

    public function test_every_time_beyond_a_limit_is_found_with_its_peak_and_how_long(): void
    {
        $t = array_map(floatval(...), range(0, 9));
        $of = static fn(array $v, bool $over = true): array => array_map(
            static fn(BeyondLimit $b): array => [$b->from, $b->seconds, $b->peak],
            BeyondLimit::all($t, array_values(array_map(floatval(...), $v)), 100.0, $over),
        );
        self::assertSame([[2.0, 2.0, 103.0], [6.0, 1.0, 101.0]], $of([99, 100, 102, 103, 100, 99, 101, 99, 99, 99]));
        self::assertSame([[8.0, 1.0, 104.0]], $of([9, 9, 9, 9, 9, 9, 9, 9, 102, 104]), 'to the end of the record');
        self::assertSame([], $of([100, 100, 100 + 1e-9, 100, 99, 99, 99, 99, 99, 99]));
        self::assertSame([[0.0, 1.0, 97.0]], $of([97, 100, 101, 101, 101, 101, 101, 101, 101, 101], false));
    }

    public function test_a_peak_is_never_lost_however_thin_it_is_drawn(): void
    {
        mt_srand(3);
        for ($n = 0; $n < 20; $n++) {
            $values = array_map(static fn(): float => mt_rand(0, 1000) / 10, range(0, 499));
            $samples = Samples::of(array_map(static fn(int $i): float => $i / 20, range(0, 499)), ['a' => $values]);
            $thin = Thinned::of($samples, ['a'], 0.0, 24.95, mt_rand(10, 200));
            self::assertSame(
                [min($values), max($values)],
                [min([INF, ...$thin['low']['a']]), max([-INF, ...$thin['high']['a']])],
            );
            self::assertSame(count($thin['t']), count($thin['low']['a']));
        }
    }
}
