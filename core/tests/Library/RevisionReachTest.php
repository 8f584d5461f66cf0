<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Library;

use Jorvel\Core\Library\CardNotes;
use Jorvel\Core\Library\Differences;
use Jorvel\Core\Library\RevisionReach;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a revision reaches of a card, what went with it, and where two versions of a card differ. */
final class RevisionReachTest extends TestCase
{
    /** @return iterable<array{string, list<string>, bool}> */
    public static function sections(): iterable
    {
        yield ['27-51', ['27-51'], true];
        yield ['27-51', ['27-51-02'], true];
        yield ['27-51', ['27'], true];
        yield ['27-51', ['27-5', '27-52', '27-511', '72-51', '2'], false];
        yield ['27-51', [], false];
    }

    /** @param list<string> $changed */
    #[DataProvider('sections')]
    public function test_only_the_passage_itself_what_is_in_it_and_what_it_is_in_reach_a_card(
        string $section,
        array $changed,
        bool $touched,
    ): void {
        self::assertSame($touched, RevisionReach::touches($section, $changed));
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function texts(): iterable
    {
        $old = 'Fit the lock before anybody reaches in. Read it midway. Never turn the shaft by hand! Torque to 24.';
        yield 'nothing went' => [$old, $old, []];
        yield 'moved and marked otherwise' => [
            $old, 'NEVER turn the shaft, by hand. Torque to 26. Fit the lock before anybody reaches in', [],
        ];
        yield 'one went' => [
            $old, 'Fit the lock before anybody reaches in. Torque to 24.', ['Never turn the shaft by hand!'],
        ];
        yield 'all went' => [$old, '', ['Fit the lock before anybody reaches in.', 'Never turn the shaft by hand!']];
        yield 'reworded is gone, and told' => ['Do not touch it.', 'Touch it gently.', ['Do not touch it.']];
        yield 'nothing was there' => ['', 'Never do this.', []];
    }

    /** @param list<string> $lost */
    #[DataProvider('texts')]
    public function test_a_warning_that_vanished_is_found(string $old, string $new, array $lost): void
    {
        self::assertSame($lost, RevisionReach::lost($old, $new));
    }

    public function test_a_caution_that_a_method_drops_and_a_figure_that_a_step_still_holds_are_named(): void
    {
        $caution = ['kind' => 'caution', 'title' => 'Hot', 'text' => 'Gloves.'];
        $steps = [
            $caution,
            ['kind' => 'measurement', 'title' => 'Play', 'spec' => [
                'reading' => ['point' => 'p', 'limit' => ['kind' => 'max', 'unit' => 'mm', 'max' => 0.4]],
            ]],
            ['kind' => 'instruction', 'title' => 'Run for 9 to 14 s'],
            [
                'kind' => 'rig', 'title' => 'Rig',
                'spec' => ['points' => [['id' => 'a', 'min' => 0.4, 'max' => 7]], 'adjusters' => [['step' => 14]]],
            ],
        ];
        self::assertSame(
            ['Hot. Gloves.'],
            RevisionReach::lostSteps($steps, [['kind' => 'instruction', 'title' => 'Hot. Gloves.']]),
        );
        self::assertSame([], RevisionReach::lostSteps($steps, [$caution]));
        $found = RevisionReach::contradicted(
            'Play is at most 0,4 mm on jack 27-51. From 9 to 14 seconds.',
            'Play is at most 0.3 mm on jack 27-51. From 9 to 13 seconds.',
            $steps,
        );
        self::assertSame([[2, '0.4'], [3, '14'], [4, '0.4']], array_map(
            static fn(array $f): array => [$f['step'], $f['figure']],
            $found,
        ));
    }

    public function test_two_versions_differ_step_by_step_and_what_is_put_in_between_moves_nothing(): void
    {
        $step = static fn(string $title, string $text = ''): array => [
            'kind' => 'instruction', 'title' => $title, 'text' => $text,
        ];
        $old = ['code' => 'X', 'hours' => 2, 'steps' => [$step('a'), $step('b'), $step('c'), $step('d')]];
        $say = static fn(array $new): array => array_map(
            static fn(array $d): string => "{$d['at']}: ".($d['was'] === null ? '+' : ($d['is'] === null ? '-' : '~')),
            Differences::between($old, $new),
        );
        self::assertSame([], $say($old));
        self::assertSame(['hours: ~', 'zone: +'], $say([...$old, 'hours' => 3, 'zone' => 'z']));
        self::assertSame(
            ['step 2: +'],
            $say([...$old, 'steps' => [$step('a'), $step('n'), $step('b'), $step('c'), $step('d')]]),
        );
        self::assertSame(['step 3 of before: -'], $say([...$old, 'steps' => [$step('a'), $step('b'), $step('d')]]));
        self::assertSame(
            ['step 3: ~'],
            $say([...$old, 'steps' => [$step('a'), $step('b'), $step('c', 'more'), $step('d')]]),
        );
        self::assertSame(
            ['step 1 of before: -', 'step 2: ~', 'step 4: +'],
            $say([...$old, 'steps' => [$step('b'), $step('c', 'more'), $step('d'), $step('e')]]),
        );
    }

    public function test_what_a_card_leaves_behind_it_is_told(): void
    {
        $steps = [
            ['kind' => 'safing_fit', 'title' => 'pin', 'spec' => ['device' => 'pin']],
            ['kind' => 'safing_fit', 'title' => 'cap', 'spec' => ['device' => 'cap']],
            ['kind' => 'instruction', 'title' => 'part', 'spec' => [
                'disturbs' => [['what' => 'u', 'how' => 'parted', 'proofs' => ['leak', 'torque']]],
            ]],
            [
                'kind' => 'torque', 'title' => 'join',
                'spec' => ['joins' => ['u'], 'proves' => [['by' => 'torque', 'of' => ['u']]]],
            ],
            ['kind' => 'safing_remove', 'title' => 'cap off', 'spec' => ['of' => 2]],
        ];
        self::assertSame([1], CardNotes::leftFitted($steps));
        $open = CardNotes::unproven($steps);
        self::assertSame([['u', ['leak'], 3]], array_map(
            static fn($n): array => [$n->what, array_column($n->missing, 'value'), $n->last->step],
            $open,
        ));
    }
}
