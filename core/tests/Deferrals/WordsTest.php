<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Deferrals\ChapterGuess;
use Jorvel\Core\Deferrals\SameDefect;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the words of a report say of where it belongs. */
final class WordsTest extends TestCase
{
    public function test_chapters_by_how_many_of_their_words_stand_in_it(): void
    {
        $known = [
            ['chapter' => '32-43', 'words' => ['antiskid', 'skid']],
            ['chapter' => '32-42', 'words' => ['brake', 'parking brake']],
            ['chapter' => '32-42', 'words' => ['light']],
            ['chapter' => '33-41', 'words' => ['landing light']],
        ];
        $of = static fn(string $text): array => array_column(ChapterGuess::of($text, $known), 'chapter');
        self::assertSame(['32-42'], $of('Parking brakes stick'), 'a word also with an ending');
        self::assertSame(['32-42', '33-41'], $of('brake light out, landing light too'), 'two words before one');
        self::assertSame([], $of('a delightful unskidded flight'), 'not inside another word');
        self::assertSame(['antiskid'], ChapterGuess::of('ANTISKID off', $known)[0]['words']);
    }

    /**
     * @return iterable<string, array{string, string, string, string, bool}> chapter, text, before: chapter, text; the
     *   same
     */
    public static function pairs(): iterable
    {
        yield 'the same words' => ['32-43', 'pulls right', '32-43', 'pulls right', true];
        yield 'with other endings and order' => ['32-43', 'Braking pulled it to the right', '32', 'pulls right braking',
            true];
        yield 'another system' => ['32-42', 'pulls right', '32-43', 'pulls right', false];
        yield 'other words' => ['32-43', 'pedal soft', '32-43', 'pulls right', false];
        yield 'only empty words in common' => ['33', 'light dark after landing', '33', 'light flickers after start',
            false];
        yield 'no words that mean anything' => ['33', 'it is so', '33', 'it is so', false];
    }

    #[DataProvider('pairs')]
    public function test_the_same_defect(
        string $chapter,
        string $text,
        string $beforeChapter,
        string $before,
        bool $same,
    ): void {
        self::assertSame($same, SameDefect::is($chapter, $text, $beforeChapter, $before));
    }
}
