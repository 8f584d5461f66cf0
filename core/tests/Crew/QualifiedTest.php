<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Crew;

use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QualifiedTest extends TestCase
{
    private const ALL = [
        'authority:perform' => '2026-05-05', 'authority:duplicate' => null, 'rating:SKV' => '2026-05-04',
        'rating:OLN' => null, 'skill:engine' => '2026-04-01', 'skill:airframe' => null,
    ];

    /** @return iterable<string, array{string, string, ?string, bool, ?string}> */
    public static function cases(): iterable
    {
        yield 'fits' => ['perform', 'OLN', 'airframe', false, null];
        yield 'the last day is still valid' => ['perform', 'OLN', null, false, null];
        yield 'authority before rating' => ['certify', 'TRK', 'avionics', false, 'no_authority'];
        yield 'rating before skill' => ['perform', 'TRK', 'avionics', false, 'no_rating'];
        yield 'skill before what lapsed' => ['perform', 'SKV', 'avionics', true, 'no_skill'];
        yield 'type before skill among what lapsed' => ['perform', 'SKV', 'engine', false, 'expired:SKV'];
        yield 'a lapsed skill' => ['perform', 'OLN', 'engine', false, 'expired:engine'];
        yield 'independence last' => ['duplicate', 'OLN', null, true, 'not_independent'];
    }

    #[DataProvider('cases')]
    public function test_why_not(string $role, string $type, ?string $skill, bool $tookPart, ?string $why): void
    {
        $held = new Qualified(array_map(static fn(?string $d): ?Day => $d === null ? null : Day::parse($d), self::ALL));
        self::assertSame($why, $held->unfit($role, $type, $skill, Day::parse('2026-05-05'), $tookPart));
    }
}
