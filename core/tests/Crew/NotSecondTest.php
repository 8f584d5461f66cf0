<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Crew;

use Jorvel\Core\Crew\NotSecond;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Person 1 would answer for person 2, about what person 3 entered; today is 5 May. */
final class NotSecondTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, NotSecond|null}> what differs, and why not */
    public static function answers(): iterable
    {
        yield 'another' => [[], null];
        yield 'oneself, whoever entered it' => [['by' => 2, 'first' => 2], NotSecond::Oneself];
        yield 'who entered it' => [['by' => 3], NotSecond::First];
        yield 'who has left' => [['gone' => true], NotSecond::Gone];
        yield 'a trainee' => [['trainee' => true], NotSecond::Trainee];
        yield 'today is still its day' => [['until' => Day::parse('2026-05-05')], null];
        yield 'its day is past' => [['until' => Day::parse('2026-05-04')], NotSecond::Past];
    }

    /** @param array<string, mixed> $differs */
    #[DataProvider('answers')]
    public function test_who_answers_for_what_another_entered(array $differs, ?NotSecond $why): void
    {
        $given = [
            'by' => 1, 'about' => 2, 'first' => 3, 'gone' => false, 'trainee' => false, 'until' => null,
            'today' => Day::parse('2026-05-05'), ...$differs,
        ];
        self::assertSame($why, NotSecond::ofAuthority(...$given));
        $plain = NotSecond::of($given['by'], $given['about'], $given['first'], $given['gone']);
        self::assertSame(in_array($why, [NotSecond::Trainee, NotSecond::Past], true) ? null : $why, $plain);
    }

    public function test_what_judges_others_is_not_given_alone(): void
    {
        self::assertSame([false, true, true], array_map(static fn(Role $r): bool => $r->judges(), Role::cases()));
    }
}
