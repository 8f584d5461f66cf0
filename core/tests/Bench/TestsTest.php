<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\FallAway;
use Jorvel\Core\Bench\Indication;
use Jorvel\Core\Bench\JudgedStep;
use Jorvel\Core\Bench\SelfTest;
use Jorvel\Core\Bench\Sequence;
use Jorvel\Core\Bench\Sheet;
use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Bench\TestRule;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\InTest;
use Jorvel\Core\Floor\TakeBack;
use Jorvel\Core\Floor\TestPart;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\StepNow;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The steps of functional tests, and the verdict of a whole one. */
final class TestsTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, mixed>, string, Verdict, list<string>}> rule, verdicts of a, b, c
     *   (P, F, I, or - for not reached), the verdict, what decided it
     */
    public static function rules(): iterable
    {
        yield 'all passed' => [[], 'PPP', Verdict::Pass, []];
        yield 'one failed' => [[], 'PFP', Verdict::Fail, ['b']];
        yield 'a failure beats what is not valid' => [[], 'IF-', Verdict::Fail, ['b']];
        yield 'one is not valid' => [[], 'PIP', Verdict::Invalid, ['b']];
        yield 'not worked through' => [[], 'PP-', Verdict::Invalid, ['c']];
        yield 'two of three' => [['at_least' => 2, 'of' => ['a', 'b', 'c']], 'PFP', Verdict::Pass, []];
        yield 'only one of three' => [['at_least' => 2, 'of' => ['a', 'b', 'c']], 'PFF', Verdict::Fail, ['b', 'c']];
        yield 'of those alone' => [['at_least' => 1, 'of' => ['a']], 'PFF', Verdict::Pass, []];
        yield 'this or that' => [['is' => 'a and (b or c)'], 'PFP', Verdict::Pass, []];
        yield 'neither' => [['is' => 'a and (b or c)'], 'PFF', Verdict::Fail, ['b', 'c']];
        yield 'it must not' => [['is' => 'a and not b'], 'PF-', Verdict::Pass, []];
        yield 'it must not, and does' => [['is' => 'not a'], 'P--', Verdict::Invalid, []];
    }

    /**
     * @param array<string, mixed> $rule
     * @param list<string> $decided
     */
    #[DataProvider('rules')]
    public function test_a_test_is_passed_by_its_rule(
        array $rule,
        string $verdicts,
        Verdict $verdict,
        array $decided,
    ): void {
        $of = ['P' => Verdict::Pass, 'F' => Verdict::Fail, 'I' => Verdict::Invalid, '-' => null];
        $steps = array_map(
            static fn(string $id, string $v): JudgedStep => new JudgedStep($id, $id, $of[$v]),
            ['a', 'b', 'c'],
            str_split($verdicts),
        );
        self::assertSame([$verdict, $decided], TestRule::from($rule)->judge($steps));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> rule, where it is wrong */
    public static function badRules(): iterable
    {
        yield 'more than there are' => [['at_least' => 3, 'of' => ['a', 'b']], 'at_least'];
        yield 'none at all' => [['at_least' => 0, 'of' => ['a']], 'at_least'];
        yield 'of what, but not how many' => [['of' => ['a']], 'at_least'];
        yield 'both' => [['is' => 'a', 'at_least' => 1, 'of' => ['a']], ''];
        yield 'no condition' => [['is' => 'a and'], 'is'];
        yield 'a call' => [['is' => 'system("a")'], 'is'];
        yield 'no name' => [['is' => 'not'], 'is'];
    }

    /** @param array<string, mixed> $rule */
    #[DataProvider('badRules')]
    public function test_a_rule_that_is_none_names_its_place(array $rule, string $path): void
    {
        try {
            TestRule::from($rule);
            self::fail('it was taken');
        } catch (InputError $e) {
            self::assertSame($path, $e->path);
        }
    }

    /** @return iterable<string, array{array<string, int>, list<string>}> seen, what moved too soon */
    public static function sequences(): iterable
    {
        yield 'nose, then the mains' => [['n' => 1, 'l' => 2, 'r' => 3], []];
        yield 'the mains together' => [['n' => 1, 'l' => 2, 'r' => 2], []];
        yield 'the mains the other way round' => [['n' => 1, 'l' => 3, 'r' => 2], []];
        yield 'all at once' => [['n' => 1, 'l' => 1, 'r' => 1], ['l', 'r']];
        yield 'one main first' => [['n' => 2, 'l' => 1, 'r' => 3], ['l']];
    }

    /**
     * @param array<string, int> $seen
     * @param list<string> $late
     */
    #[DataProvider('sequences')]
    public function test_an_order_is_right_when_each_group_moved_after_the_one_before(array $seen, array $late): void
    {
        $is = Sequence::of([['n'], ['l', 'r']], $seen);
        self::assertSame([$late === [] ? Verdict::Pass : Verdict::Fail, $late], [$is->verdict, $is->late]);
    }

    public function test_what_shows_a_position_does_not_prove_it(): void
    {
        $of = static fn(bool $lamp, bool $pressure): Indication
            => Indication::of(['lamp' => false, 'pressure' => true], ['lamp' => $lamp, 'pressure' => $pressure]);
        self::assertSame(
            [Indication::Proven, Indication::ShownWrongly, Indication::NotProven, Indication::NotThere],
            [$of(true, true), $of(false, true), $of(true, false), $of(false, false)],
        );
        self::assertSame([Verdict::Pass, Verdict::Fail], [$of(true, true)->verdict(), $of(false, true)->verdict()]);
        $this->expectException(InputError::class);
        Indication::of(['lamp' => false], []);
    }

    public function test_channels_pass_only_together_and_screens_with_them(): void
    {
        $of = static fn(string $a, string $b, bool $screen = true): SelfTest
            => SelfTest::of(['A', 'B'], ['A' => $a, 'B' => $b], ['s' => $screen]);
        self::assertSame([Verdict::Pass, true], [$of('pass', 'pass')->verdict, $of('pass', 'pass')->agree]);
        self::assertSame([Verdict::Fail, false], [$of('pass', '417')->verdict, $of('pass', '417')->agree]);
        self::assertSame([Verdict::Fail, true], [$of('9', '9')->verdict, $of('9', '9')->agree]);
        self::assertSame(Verdict::Fail, $of('pass', 'pass', false)->verdict);
        foreach ([
            ['A' => 'pass'], ['A' => 'pass', 'B' => ' '], ['A' => 'pass', 'B' => 'pass', 'C' => 'pass'],
        ] as $said) {
            try {
                SelfTest::of(['A', 'B'], $said);
                self::fail('it was taken');
            } catch (InputError $e) {
                self::assertSame('said', $e->path);
            }
        }
    }

    /**
     * @return iterable<string, array{list<float>, float|null}> readings, where it falls away; null where it does not
     */
    public static function falls(): iterable
    {
        yield 'to nought' => [[62, 57, 52, 47, 0], 47.0];
        yield 'and stays there' => [[62, 57, 52, 47, 2, 0, 0], 47.0];
        yield 'the first reading already' => [[47, 0, 0, 0], null];
        yield 'too few' => [[62, 57, 0], null];
        yield 'not yet' => [[62, 57, 52, 47, 42], null];
        yield 'rising' => [[10, 20, 30, 40], null];
    }

    /** @param list<float> $readings */
    #[DataProvider('falls')]
    public function test_the_pre_charge_is_the_last_reading_before_the_gauge_drops_away(
        array $readings,
        ?float $at,
    ): void {
        if ($at === null) {
            $this->expectException(InputError::class);
        }
        self::assertSame($at, FallAway::at($readings));
    }

    public function test_a_sheet_says_how_far_its_points_lie_apart_and_what_is_worked_out_from_them(): void
    {
        $sheet = Sheet::from([
            'spread' => [['title' => 'alike', 'of' => ['a', 'b', 'c'], 'max' => 0.4]],
            'derived' => [
                ['id' => 'm', 'title' => 'mean', 'unit' => 'mm', 'is' => '(a + b + c) / 3'],
                [
                    'id' => 'd', 'title' => 'off', 'unit' => 'mm', 'is' => 'abs(m - a)',
                    'limit' => ['kind' => 'max', 'unit' => 'mm', 'max' => 0.3],
                ],
            ],
        ]);
        $lines = $sheet->lines(['a' => 1.8, 'b' => 1.9, 'c' => 2.6]);
        self::assertSame(['alike', 'mean', 'off'], array_column($lines, 'title'));
        self::assertEqualsWithDelta([0.8, 2.1, 0.3], array_column($lines, 'value'), 1e-9);
        self::assertSame([Verdict::Fail, Verdict::Pass, Verdict::Pass], array_column($lines, 'verdict'));
        self::assertSame('c', $lines[0]->outlier);
        self::assertSame([], $sheet->lines(['a' => 1.8]), 'what is not read yet is left out');
        self::assertSame(Verdict::Fail, Sheet::verdict([Verdict::Pass, Verdict::Invalid], $lines));
        self::assertSame(Verdict::Invalid, Sheet::verdict([Verdict::Pass, Verdict::Invalid], [$lines[1]]));
        self::assertSame(Verdict::Marginal, Sheet::verdict([Verdict::Marginal], []));
    }

    public function test_a_strut_is_judged_by_its_gas_brought_to_the_temperature_of_the_chart(): void
    {
        $chart = SheetChart::from([
            'rows' => [[20, 84], [40, 64]], 'by' => 'gas', 'temp' => 't', 'reference' => 20, 'plus' => 5, 'minus' => 4,
        ]);
        $at = static fn(float $gas, float $t): array => $chart->limit(['gas' => $gas, 't' => $t], Unit::bar, Unit::mm);
        self::assertSame(74.0, $at(30.0, 20.0)['nominal']);
        // Cold gas reads low: at 20 °C it would be more, and the strut is longer than its gauge says.
        self::assertLessThan($at(30.0, 20.0)['nominal'], $at(30.0, 0.0)['nominal']);
        self::assertSame([5.0, 4.0], [$at(30.0, 20.0)['plus'], $at(30.0, 20.0)['minus']]);
        $this->expectException(InputError::class);
        $at(90.0, 20.0);
    }

    /** @return list<array<string, mixed>> a test of two steps that are judged, for each of some positions */
    private static function block(mixed $positions): array
    {
        return [['kind' => 'functional', 'title' => 'Brakes', 'spec' => [
            'system' => 'brakes', 'id' => 'br', ...$positions === null ? [] : ['positions' => $positions],
            'proves' => [['by' => 'bleed', 'of' => ['line']]],
            'steps' => [
                ['kind' => 'instruction', 'title' => 'Rig', 'spec' => ['when' => 'setup']],
                ['kind' => 'reference', 'title' => 'Ref', 'spec' => ['id' => 'r', 'point' => 'p', 'unit' => 'bar']],
                ['kind' => 'transition', 'title' => 'Watch', 'spec' => [
                    'id' => 'w', 'point' => 'p', 'unit' => 'bar', 'reference' => 'r', 'limit' => 3, 'watch' => 1,
                ]],
                ['kind' => 'instruction', 'title' => 'Off', 'spec' => ['when' => 'restore']],
            ],
        ]]];
    }

    public function test_a_block_stands_in_the_card_with_its_begin_and_its_verdict_once_for_each_position(): void
    {
        $one = Steps::expand(self::block(null));
        self::assertSame(
            ['attempt', 'instruction', 'reference', 'transition', 'instruction', 'verdict'],
            array_column($one, 'kind'),
        );
        self::assertSame(
            ['begin', 'setup', 'test', 'test', 'restore', 'verdict'],
            array_map(static fn(array $s): string => $s['spec']['test']['part'], $one),
        );
        self::assertSame([['by' => 'bleed', 'of' => ['line']]], $one[5]['spec']['proves'], 'the verdict proves it');
        $two = Steps::expand(self::block(['left', 'right']));
        self::assertCount(12, $two);
        self::assertSame(['br@left', 'br@right'], [$two[0]['spec']['test']['key'], $two[6]['spec']['test']['key']]);
        self::assertSame(['r@right', 'w'], [$two[9]['spec']['reference'], $two[9]['spec']['test']['name']]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is changed, where the fault is */
    public static function faults(): iterable
    {
        $at = static fn(int $k, array $spec, string $kind = 'instruction'): array
            => ['steps' => [$k => ['kind' => $kind, 'title' => 't', 'spec' => $spec]]];
        yield 'put back before it is tested' => [$at(1, ['when' => 'restore']), 'steps.0.spec.steps.2.spec.when'];
        yield 'set up in the middle' => [$at(2, ['when' => 'setup']), 'steps.0.spec.steps.2.spec.when'];
        yield 'an inspection in it' => [$at(1, ['covers' => ['a']], 'inspection'), 'steps.0.spec.steps.1.kind'];
        yield 'a block in it' => [
            $at(1, ['positions' => ['a'], 'steps' => [['kind' => 'instruction', 'title' => 'x']]], 'each'),
            'steps.0.spec.steps.1.kind',
        ];
        yield 'a rule of steps that there are not' => [['rule' => ['is' => 'w and z']], 'steps.0.spec.rule'];
        yield 'a rule of what judges nothing' => [['rule' => ['at_least' => 1, 'of' => ['r']]], 'steps.0.spec.rule'];
        yield 'a reference that is none' => [$at(2, [
            'point' => 'p', 'unit' => 'bar', 'reference' => 'z', 'limit' => 3, 'watch' => 1,
        ], 'transition'), 'steps.0.spec.steps.2.spec.reference'];
        yield 'nothing is judged' => [$at(2, []), 'steps.0.spec.steps'];
        yield 'no system' => [['system' => null], 'steps.0.spec.system'];
        yield 'two sheets of one name' => [$at(1, ['points' => [
            ['id' => 'a', 'place' => 'a', 'unit' => 'mm'], ['id' => 'a', 'place' => 'b', 'unit' => 'mm'],
        ]], 'sheet'), 'steps.0.spec.steps.1.spec.points.1.id'];
        yield 'a chart by nothing' => [$at(1, ['points' => [
            [
                'id' => 'a', 'place' => 'a', 'unit' => 'mm',
                'chart' => ['rows' => [[0, 1], [1, 2]], 'by' => 'z', 'plus' => 1, 'minus' => 1],
            ],
        ]], 'sheet'), 'steps.0.spec.steps.1.spec.points.0.chart'];
        yield 'a spread of nothing' => [$at(1, [
            'points' => [['id' => 'a', 'place' => 'a', 'unit' => 'mm']],
            'spread' => [['title' => 's', 'of' => ['a', 'z'], 'max' => 1]],
        ], 'sheet'), 'steps.0.spec.steps.1.spec.spread.0.of'];
        yield 'a leak in newtons' => [$at(1, [
            'point' => 'p', 'unit' => 'N', 'gas' => false, 'minutes' => 5, 'max_per_hour' => 1,
        ], 'leak'), 'steps.0.spec.steps.1.spec.unit'];
        yield 'a gas from a reading without a temperature' => [$at(2, [
            'point' => 'p', 'unit' => 'bar', 'from' => 'r', 'gas' => true, 'minutes' => 5, 'max_per_hour' => 1,
        ], 'leak'), 'steps.0.spec.steps.2.spec.gas'];
        yield 'nothing proves it' => [$at(1, [
            'of' => 'x', 'sources' => [['id' => 'a', 'title' => 'a'], ['id' => 'b', 'title' => 'b']],
        ], 'indication'), 'steps.0.spec.steps.1.spec.sources'];
        yield 'an order without one of them' => [$at(1, [
            'items' => [['id' => 'a', 'title' => 'a'], ['id' => 'b', 'title' => 'b'], ['id' => 'c', 'title' => 'c']],
            'order' => [['a'], ['b']],
        ], 'sequence'), 'steps.0.spec.steps.1.spec.order'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('faults')]
    public function test_a_test_that_cannot_be_worked_names_its_place(array $change, string $path): void
    {
        $block = self::block(null);
        self::assertSame([], Steps::faults(json_decode((string) json_encode($block))));
        $block[0]['spec'] = array_filter(
            array_replace_recursive($block[0]['spec'], $change),
            static fn(mixed $v): bool => $v !== null,
        );
        foreach ($change['steps'] ?? [] as $k => $step) {
            $block[0]['spec']['steps'][$k] = [...$step, 'spec' => (object) $step['spec']];
        }
        $paths = array_map(
            static fn(InputError $e): string => $e->path,
            Steps::faults(json_decode((string) json_encode($block))),
        );
        self::assertContains($path, $paths, implode(', ', $paths));
    }

    /** @return iterable<string, array{int, list<int>, list<int>, list<int>}> back, done, not reached, falls */
    public static function taken(): iterable
    {
        // 1 begin, 2 set up, 3 and 4 tested, 5 put back, 6 verdict; 7 after the test.
        yield 'a step of one that goes on falls alone' => [3, [1, 2, 3], [], []];
        yield 'a failure reopens what it left, and what was put back' => [3, [1, 2, 3, 5], [4], [4, 5]];
        yield 'the begin takes everything with it' => [1, [1, 2, 3], [4], [2, 3, 4]];
        yield 'of one with a verdict everything falls' => [3, [1, 2, 3, 4, 5, 6, 7], [], [1, 2, 4, 5, 6]];
        yield 'what was put back falls alone while it goes on' => [5, [1, 2, 3, 4, 5], [], []];
    }

    /**
     * @param list<int> $done
     * @param list<int> $notReached
     * @param list<int> $falls
     */
    #[DataProvider('taken')]
    public function test_what_falls_when_a_step_of_a_test_is_taken_back(
        int $back,
        array $done,
        array $notReached,
        array $falls,
    ): void {
        $parts = ['begin', 'setup', 'test', 'test', 'restore', 'verdict', null];
        $kinds = ['attempt', 'answer', 'measurement', 'measurement', 'answer', 'verdict', 'caution'];
        $steps = array_map(static fn(int $no): StepNow => new StepNow(
            $no,
            $kinds[$no - 1],
            "step {$no}",
            in_array($no, [...$done, ...$notReached], true),
            test: $parts[$no - 1] === null ? null : new InTest('t', TestPart::from($parts[$no - 1])),
            notReached: in_array($no, $notReached, true),
        ), range(1, 7));
        self::assertSame($falls, TakeBack::falls(self::cardOf($steps), $back));
    }

    /** @param list<StepNow> $steps */
    private static function cardOf(array $steps): CardNow
    {
        return new CardNow(
            new CardRef('1', '001-01', 'a card', CardProgress::InWork, '1', 'a visit'),
            new Touch([], 'wing'),
            false,
            true,
            $steps,
            [],
            [],
            null,
            null,
            new OnAircraft,
        );
    }
}
