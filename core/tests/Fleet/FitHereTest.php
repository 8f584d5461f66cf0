<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Fleet\FitHere;
use Jorvel\Core\Fleet\GoesOver;
use Jorvel\Core\Fleet\NotHere;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FitHereTest extends TestCase
{
    private const PLACES = ['crew oxygen' => ['JV-B1', 'JV-B2'], 'cabin oxygen' => ['JV-B3']];

    /** @return iterable<string, array{FitHere, array<string, list<string>>, string, string|null, NotHere|null}> */
    public static function cases(): iterable
    {
        $good = FitHere::stored('7', 'JV-B1', ComponentTag::Serviceable, ['fh']);
        $at = 'crew oxygen';
        yield 'from the store' => [$good, self::PLACES, $at, null, null];
        yield 'where the number stood at the other place of its kind' => [
            $good, self::PLACES, 'cabin oxygen', null, null,
        ];
        yield 'it is there' => [$good, self::PLACES, $at, '7', NotHere::There];
        yield 'another is there' => [$good, self::PLACES, $at, '8', NotHere::Taken];
        yield 'fitted elsewhere' => [
            FitHere::fitted('7', 'JV-B1', 'QA-VFB', false, []), self::PLACES, $at, null, NotHere::Elsewhere,
        ];
        yield 'carried from there' => [
            FitHere::fitted('7', 'JV-B1', 'QA-VFB', true, ['fh']), self::PLACES, $at, null, null,
        ];
        yield 'counts cycles' => [
            FitHere::stored('7', 'JV-B1', ComponentTag::Serviceable, ['cyc']), self::PLACES, $at, null,
            NotHere::NoCounter,
        ];
        yield 'no such kind on the type' => [$good, [], $at, null, NotHere::NoKind];
        yield 'no such place' => [$good, self::PLACES, 'crew oxygen 2', null, NotHere::NoPlace];
        yield 'a number of another type' => [
            FitHere::stored('7', 'JV-B9', ComponentTag::Serviceable, []), self::PLACES, $at, null,
            NotHere::WrongNumber,
        ];
        foreach (array_slice(ComponentTag::cases(), 1) as $tag) {
            yield "tagged {$tag->value}" => [
                FitHere::stored('7', 'JV-B1', $tag, []), self::PLACES, $at, null, NotHere::Tagged,
            ];
        }
    }

    /** @param array<string, list<string>> $places */
    #[DataProvider('cases')]
    public function test_a_component_goes_where_its_kind_and_number_have_stood(
        FitHere $component,
        array $places,
        string $position,
        ?string $there,
        ?NotHere $why,
    ): void {
        self::assertSame($why, $component->against($places, $position, $there, ['fh', 'ldg']));
    }

    public function test_what_goes_over_to_the_new_unit_is_all_of_it(): void
    {
        foreach ([[4, 4, false, true], [3, 4, false, false], [3, 4, true, true], [5, 4, false, false]] as $case) {
            self::assertSame($case[3], GoesOver::off($case[0], $case[1], $case[2]));
        }
        self::assertTrue(GoesOver::on(4, 4));
        self::assertFalse(GoesOver::on(3, 4), 'a finding does not make it fewer');
    }
}
