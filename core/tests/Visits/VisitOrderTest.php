<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Visits\VisitOrder;
use Jorvel\Core\Visits\VisitStage;
use Jorvel\Core\Visits\VisitTask;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each card of a visit waits for. */
final class VisitOrderTest extends TestCase
{
    /** @return list<VisitTask> a whole check: one of everything, in no order */
    private static function check(): array
    {
        return [
            new VisitTask('end', VisitStage::Release), new VisitTask('close', VisitStage::Close, [], null, 'close:P1'),
            new VisitTask('look', VisitStage::Look, ['P1']), new VisitTask('gear', VisitStage::Test, [], 'on'),
            new VisitTask('taxi', VisitStage::Test, [], 'off'), new VisitTask('weigh', VisitStage::Look, [], 'off'),
            new VisitTask('open', VisitStage::Open, [], null, 'open:P1'),
            new VisitTask('lower', VisitStage::Close, [], null, 'lower'),
            new VisitTask('fix', VisitStage::Fix, ['P1'], null, null, ['look']),
            new VisitTask('raise', VisitStage::Open, [], null, 'raise'), new VisitTask('safe', VisitStage::Safe),
            new VisitTask('induct', VisitStage::Induct), new VisitTask('oil', VisitStage::Fix),
            new VisitTask('probe', VisitStage::Test, ['P1']),
        ];
    }

    /** @return iterable<string, array{string, list<string>}> card, what it waits for */
    public static function waits(): iterable
    {
        yield 'induction for nothing' => ['induct', []];
        yield 'making safe for induction' => ['safe', ['induct']];
        yield 'opening for making safe' => ['open', ['safe']];
        yield 'a look for its panel' => ['look', ['open']];
        yield 'a fix for the look that found it, and its panel' => ['fix', ['look', 'open']];
        yield 'a test at an open panel for that alone' => ['probe', ['open']];
        yield 'closing for all that need it open' => ['close', ['fix', 'look', 'open', 'probe']];
        yield 'raising for what needs the wheels' => ['raise', ['weigh']];
        yield 'a test on jacks for raising and closed panels' => ['gear', ['close', 'raise']];
        yield 'lowering for what is done on jacks' => ['lower', ['gear', 'raise']];
        yield 'a test on wheels for lowering and closed panels' => ['taxi', ['close', 'lower']];
        yield 'work that needs nothing for making safe' => ['oil', ['safe']];
        yield 'the last look for everything' => [
            'end',
            [
                'close', 'fix', 'gear', 'induct', 'look', 'lower', 'oil', 'open', 'probe', 'raise', 'safe', 'taxi',
                'weigh',
            ],
        ];
    }

    /** @param list<string> $for */
    #[DataProvider('waits')]
    public function test_it_waits_for(string $card, array $for): void
    {
        $waits = VisitOrder::of(self::check())["#{$card}"];
        sort($waits);
        self::assertSame($for, $waits);
    }

    /**
     * @return iterable<string, array{list<VisitTask>, array<string, list<string>>}> a visit of little, and what each
     *   card of it waits for
     */
    public static function little(): iterable
    {
        $open = new VisitTask('open', VisitStage::Open, [], null, 'open:P');
        $close = new VisitTask('close', VisitStage::Close, [], null, 'close:P');
        $raise = new VisitTask('raise', VisitStage::Open, [], null, 'raise');
        $lower = new VisitTask('lower', VisitStage::Close, [], null, 'lower');
        yield 'a panel with nothing behind it is closed after it is opened'
            => [[$close, $open], ['close' => ['open'], 'open' => []]];
        yield 'an aircraft raised for nothing is lowered after that'
            => [[$lower, $raise], ['lower' => ['raise'], 'raise' => []]];
        yield 'a look on wheels comes before raising, not after lowering' => [
            [new VisitTask('weigh', VisitStage::Look, [], 'off'), $raise, $lower],
            ['weigh' => [], 'raise' => ['weigh'], 'lower' => ['raise']],
        ];
        yield 'a test on wheels behind an open panel too' => [
            [new VisitTask('t', VisitStage::Test, ['P'], 'off'), $raise, $lower, $open, $close],
            ['t' => ['open'], 'raise' => ['t'], 'lower' => ['raise'], 'open' => [], 'close' => ['open', 't']],
        ];
        yield 'a test without a panel waits for every one that is closed' => [
            [new VisitTask('t', VisitStage::Test), $open, $close],
            ['t' => ['close'], 'open' => [], 'close' => ['open']],
        ];
        yield 'a fix without a panel does not' => [
            [new VisitTask('f', VisitStage::Fix), $open, $close],
            ['f' => [], 'open' => [], 'close' => ['open']],
        ];
    }

    /**
     * @param list<VisitTask> $tasks
     * @param array<string, list<string>> $waits
     */
    #[DataProvider('little')]
    public function test_a_visit_of_little(array $tasks, array $waits): void
    {
        $said = [];
        foreach (VisitOrder::of($tasks) as $id => $for) {
            sort($for);
            $said[substr((string) $id, 1)] = $for;
        }
        self::assertEquals($waits, $said);
    }

    public function test_no_visit_goes_in_a_circle(): void
    {
        mt_srand(3);
        for ($n = 0; $n < 200; $n++) {
            $tasks = [];
            foreach (['P1', 'P2'] as $p) {
                $tasks[] = new VisitTask("open {$p}", VisitStage::Open, [], null, "open:{$p}");
                $tasks[] = new VisitTask("close {$p}", VisitStage::Close, [], null, "close:{$p}");
            }
            $tasks = [
                ...$tasks,
                new VisitTask('raise', VisitStage::Open, [], null, 'raise'),
                new VisitTask('lower', VisitStage::Close, [], null, 'lower'),
                new VisitTask('induct', VisitStage::Induct),
                new VisitTask('end', VisitStage::Release),
            ];
            for ($c = 0; $c < 12; $c++) {
                $stage = [VisitStage::Look, VisitStage::Fix, VisitStage::Test][mt_rand(0, 2)];
                $tasks[] = new VisitTask(
                    "c{$c}",
                    $stage,
                    array_slice(['P1', 'P2'], 0, mt_rand(0, 2)),
                    [null, 'on', 'off'][mt_rand(0, 2)],
                );
            }
            $waits = VisitOrder::of($tasks);
            $done = [];
            do {
                $free = array_filter(
                    array_diff_key($waits, $done),
                    static fn(array $for): bool
                        => array_diff(
                            array_map(static fn(string $id): string => "#{$id}", $for),
                            array_keys($done),
                        ) === [],
                );
                $done += $free;
            } while ($free !== []);
            self::assertCount(count($tasks), $done, "visit {$n}");
        }
    }
}
