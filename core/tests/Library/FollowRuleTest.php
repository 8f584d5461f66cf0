<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Library;

use Jorvel\Core\Library\FollowRule;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FollowRuleTest extends TestCase
{
    /** @param array<string, mixed> $more */
    private static function body(array $more = []): \stdClass
    {
        return json_decode((string) json_encode($more + [
            'code' => 'SKV-F-SEAL', 'title' => 'A cut seal', 'source' => 'AM-SKV 29-00',
            'found' => ['chapters' => ['29', '32-40'], 'words' => [['seal', 'gasket'], ['cut', 'torn']]],
            'then' => [['kind' => 'look', 'text' => 'Its seat']],
        ]), false, 64);
    }

    /** @return iterable<string, array{string, string, bool}> */
    public static function findings(): iterable
    {
        yield 'a word of each list' => ['29-10', 'port C: gasket cut through', true];
        yield 'another form of a word' => ['29', 'Seals torn at the lip', true];
        yield 'a chapter within one' => ['32-40', 'seal cut', true];
        yield 'another part of that system' => ['32-41', 'seal cut', false];
        yield 'one that only begins alike' => ['291', 'seal cut', false];
        yield 'one list has no word' => ['29-10', 'gasket seeps', false];
        yield 'in the midst of a word' => ['29-10', 'seal shortcut', false];
    }

    #[DataProvider('findings')]
    public function test_a_sort_of_finding_is_told_by_chapter_and_words(string $chapter, string $text, bool $is): void
    {
        self::assertSame($is, FollowRule::of(self::body())->holds($chapter, $text));
    }

    /** @return array<string, mixed> */
    private static function table(string $side = 'over'): array
    {
        $card = [['kind' => 'card', 'text' => 'Inspect', 'card' => 'SKV-61-90']];

        return ['found' => null, 'then' => null, 'exceeded' => [
            'quantity' => 'propeller speed', 'chapter' => '61', 'unit' => '%', 'side' => $side, 'limit' => 101,
            'positions' => ['engine 1', 'engine 2'],
            'rows' => [
                ['beyond' => 0, 'seconds' => 0, 'title' => 'recorded'],
                ['beyond' => 0.5, 'seconds' => 5, 'title' => 'looked at', 'severity' => 'major', 'then' => $card],
                ['beyond' => 4, 'seconds' => 0, 'title' => 'taken off', 'severity' => 'critical', 'then' => $card],
            ],
        ]];
    }

    /** @return iterable<string, array{string, float, float, string|null}> */
    public static function exceeded(): iterable
    {
        yield 'within' => ['over', 100.9, 60, null];
        yield 'at the limit' => ['over', 101, 600, null];
        yield 'at the limit but for noise' => ['over', 101.00000000001, 600, null];
        yield 'far, and shortly' => ['over', 104.9, 4.9, 'recorded'];
        yield 'a little, and long' => ['over', 101.4, 400, 'recorded'];
        yield 'thread 2: 102.6 % for 6 s' => ['over', 102.6, 6, 'looked at'];
        yield 'at both edges of a row' => ['over', 101.5, 5, 'looked at'];
        yield 'beyond at once' => ['over', 105, 0, 'taken off'];
        yield 'under, not passed' => ['under', 101, 60, null];
        yield 'under, passed' => ['under', 96, 1, 'taken off'];
    }

    #[DataProvider('exceeded')]
    public function test_a_table_is_read_by_how_far_and_how_long(string $side, float $peak, float $s, ?string $row): void
    {
        $rule = FollowRule::of((object) array_filter((array) self::body(self::table($side))));
        self::assertSame($row, $rule->exceeded?->row($peak, $s)?->title);
    }

    public function test_more_and_longer_is_never_milder(): void
    {
        $table = FollowRule::of((object) array_filter((array) self::body(self::table())))->exceeded;
        $severe = static fn(float $p, float $s): int => (int) array_search(
            $table?->row($p, $s)?->severity,
            [null, 'major', 'critical'],
            true,
        );
        mt_srand(7);
        for ($i = 0; $i < 500; $i++) {
            [$p, $s] = [mt_rand(1000, 1070) / 10, mt_rand(0, 100) / 10];
            self::assertGreaterThanOrEqual($severe($p, $s), $severe($p + mt_rand(0, 20) / 10, $s + mt_rand(0, 50) / 10));
        }
    }

    /** @return iterable<string, array{string, callable(array<string, mixed>): array<string, mixed>}> */
    public static function faulty(): iterable
    {
        yield 'no words' => ['found.words', static fn(array $b): array => [...$b, 'found' => ['chapters' => ['29']]]];
        yield 'neither finding nor limit' => ['found', static fn(array $b): array => array_diff_key($b, ['found' => 0])];
        yield 'a card that names none' => ['then.0.card', static fn(array $b): array => [
            ...$b, 'then' => [['kind' => 'card', 'text' => 'x']]]];
        yield 'a suspect without its system' => ['then.0.chapter', static fn(array $b): array => [
            ...$b, 'then' => [['kind' => 'suspect', 'text' => 'x']]]];
        yield 'choices of a look' => ['then.0.choices', static fn(array $b): array => [
            ...$b, 'then' => [['kind' => 'look', 'text' => 'x', 'choices' => ['a', 'b']]]]];
        $rows = static fn(array $rows): callable => static function (array $b) use ($rows): array {
            $t = self::table();
            $t['exceeded']['rows'] = $rows;

            return [...array_diff_key($b, ['found' => 0, 'then' => 0]), 'exceeded' => $t['exceeded']];
        };
        $card = [['kind' => 'card', 'text' => 'x', 'card' => 'SKV-61-90']];
        yield 'a first row that leaves something out' => ['exceeded.rows.0', $rows([
            ['beyond' => 1, 'seconds' => 0, 'title' => 'x']])];
        yield 'a stop without a card' => ['exceeded.rows.0.then', $rows([
            ['beyond' => 0, 'seconds' => 0, 'title' => 'x', 'severity' => 'major']])];
        yield 'a card where it is only recorded' => ['exceeded.rows.0.severity', $rows([
            ['beyond' => 0, 'seconds' => 0, 'title' => 'x', 'then' => $card]])];
        yield 'a milder row after' => ['exceeded.rows.2', $rows([
            ['beyond' => 0, 'seconds' => 0, 'title' => 'x'], ['beyond' => 3, 'seconds' => 9, 'title' => 'y'],
            ['beyond' => 2, 'seconds' => 8, 'title' => 'z']])];
    }

    /** @param callable(array<string, mixed>): array<string, mixed> $spoil */
    #[DataProvider('faulty')]
    public function test_a_rule_that_cannot_be_followed_is_refused_at_its_place(string $path, callable $spoil): void
    {
        $body = json_decode((string) json_encode($spoil(json_decode((string) json_encode(self::body()), true))), false);
        try {
            FollowRule::of($body);
        } catch (InputError $e) {
            self::assertSame($path, $e->path);

            return;
        }
        self::fail('It was taken.');
    }

    public function test_it_knows_the_cards_it_may_open(): void
    {
        $rule = FollowRule::of((object) array_filter((array) self::body(self::table())));
        self::assertSame(['SKV-61-90'], $rule->cards());
    }
}
