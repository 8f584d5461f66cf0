<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Crew;

use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\WhoIsLeft;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who is left to do something, and what took the last of them away. */
final class WhoIsLeftTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *   array<array-key, array<string, string|null>>, string, string|null, list<array{string, string, string}>,
     * }>
     *   people with what they hold, role, skill, what lapsed
     */
    public static function cases(): iterable
    {
        $one = [
            'authority:perform' => null, 'authority:duplicate' => null, 'rating:SKV' => null, 'skill:engine' => null,
        ];
        yield 'nobody there' => [[], 'perform', 'engine', []];
        yield 'one who can' => [[7 => $one], 'perform', 'engine', []];
        yield 'nobody ever could' => [[7 => ['rating:SKV' => null]], 'perform', 'engine', []];
        yield 'the last day itself is still good'
            => [[7 => [...$one, 'skill:engine' => '2026-05-20']], 'perform', 'engine', []];
        yield 'the only one lapses' => [
            [7 => [...$one, 'skill:engine' => '2026-05-19']], 'perform', 'engine', [['7', 'skill', 'engine']],
        ];
        yield 'which an inspection does not ask for'
            => [[7 => [...$one, 'skill:engine' => '2026-05-19']], 'duplicate', null, []];
        yield 'the authority before the rating' => [
            [7 => [...$one, 'rating:SKV' => '2026-05-01', 'authority:duplicate' => '2026-05-19']],
            'duplicate',
            null,
            [['7', 'authority', 'duplicate']],
        ];
        yield 'each of several, whoever never could aside' => [
            [
                'a' => [...$one, 'rating:SKV' => '2026-05-01'], 'b' => ['skill:engine' => null],
                'c' => [...$one, 'authority:perform' => '2026-05-02'],
            ],
            'perform',
            'engine',
            [['a', 'rating', 'SKV'], ['c', 'authority', 'perform']],
        ];
        yield 'one who can is enough'
            => [['a' => [...$one, 'rating:SKV' => '2026-05-01'], 'b' => $one], 'perform', 'engine', []];
    }

    /**
     * @param array<array-key, array<string, string|null>> $people
     * @param list<array{string, string, string}> $lapsed
     */
    #[DataProvider('cases')]
    public function test_what_took_the_last_away(array $people, string $role, ?string $skill, array $lapsed): void
    {
        $holds = array_map(
            static fn(array $held): Qualified => new Qualified(array_map(
                static fn(?string $until): ?Day => $until === null ? null : Day::parse($until),
                $held,
            )),
            $people,
        );
        self::assertSame($lapsed, WhoIsLeft::lapsed($holds, $role, 'SKV', $skill, Day::parse('2026-05-20')));
    }
}
