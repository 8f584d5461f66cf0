<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Library;

use Jorvel\Core\Library\TextDiff;
use PHPUnit\Framework\TestCase;

/** Old text beside new text. */
final class TextDiffTest extends TestCase
{
    private const WORDS = [
        'run', 'one', 'engine', 'both', 'engines', 'at', "idle\n", 'the', 'other', '  takes up', 'load', 'ü',
    ];

    public function test_the_pieces_joined_again_are_the_texts(): void
    {
        mt_srand(11);
        for ($n = 0; $n < 120; $n++) {
            $text = static fn(): string
                => implode(
                    ' ',
                    array_map(static fn(): string => self::WORDS[mt_rand(0, 11)], range(1, mt_rand(1, 30))),
                );
            [$old, $new] = [$n % 7 === 0 ? '' : $text(), $n % 11 === 0 ? '' : $text().($n % 3 === 0 ? "\n" : '')];
            $pieces = TextDiff::of($old, $new);
            $join = static fn(string $but): string => implode(
                '',
                array_column(array_filter($pieces, static fn(array $p): bool => $p['kind'] !== $but), 'text'),
            );
            self::assertSame([$old, $new], [$join('new'), $join('gone')]);
            for ($i = 1; $i < count($pieces); $i++) {
                self::assertNotSame($pieces[$i - 1]['kind'], $pieces[$i]['kind'], 'neighbours are one piece');
            }
        }
    }

    public function test_no_more_is_told_than_changed(): void
    {
        self::assertSame(
            [
                ['kind' => 'same', 'text' => 'Run'],
                ['kind' => 'gone', 'text' => ' one engine'],
                ['kind' => 'new', 'text' => ' both engines'],
                ['kind' => 'same', 'text' => ' at idle.'],
            ],
            TextDiff::of('Run one engine at idle.', 'Run both engines at idle.'),
        );
        self::assertSame([['kind' => 'same', 'text' => 'as it was']], TextDiff::of('as it was', 'as it was'));
    }
}
