<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\BottleDue;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\DueNow;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Outlook;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Fleet\Takes;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Now\PartGone;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Tests\Now\Pictures;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stops an aircraft, asked of the whole of it. */
final class OutlookTest extends TestCase
{
    /** An item of so many hours, last done at 1,000: two a day. */
    private static function item(string $key, float $hours): ItemNow
    {
        $limit = DueLimit::of('fh', $hours);
        $last = LastDone::on(Day::parse('2026-05-04'), ['fh' => 1000.0]);

        return new ItemNow($key, DueItem::of(Rule::First, Rebase::Actual, [$limit]), Pictures::flying(), $last);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string|null}> the picture, its state, the driver */
    public static function pictures(): iterable
    {
        $day = static fn(int $of): Day => Day::parse('2026-05-04')->plusDays($of);
        $visit = static fn(int $from, int $to, string ...$takes): array
            => [VisitSpan::of($day($from), $day($to), array_values($takes))];
        yield 'nothing' => [[], 'clear', null];
        yield 'an item of forty hours' => [['items' => [self::item('1', 40.0)]], 'watch', 'item:1'];
        yield 'the first of two' => [['items' => [self::item('1', 40.0), self::item('2:7', 20.0)]], 'stop', 'item:2:7'];
        yield 'a bottle before an item' => [
            ['items' => [self::item('1', 40.0)], 'bottles' => [Pictures::bottle('7', 9)]], 'stop', 'bottle:7',
        ];
        yield 'a deferral before a bottle' => [
            ['bottles' => [Pictures::bottle('7', 9)], 'deferrals' => [Pictures::deferral('3', 5)]],
            'stop', 'deferral:3',
        ];
        yield 'a deferral by its hours' => [['deferrals' => [Pictures::deferral('3', 60, 8.0)]], 'stop', 'deferral:3'];
        yield 'a part that is missing, before all' => [
            ['deferrals' => [Pictures::deferral('3', 5)], 'gone' => [new PartGone('9', $day(0))]], 'stop', 'part:9',
        ];
        yield 'the visit takes the item, the bottle stays' => [
            [
                'items' => [self::item('1', 20.0)],
                'bottles' => [Pictures::bottle('7', 25)],
                'visits' => $visit(5, 6, 'item:1'),
            ],
            'watch', 'bottle:7',
        ];
        yield 'in its visit' => [['items' => [self::item('1', 20.0)], 'visits' => $visit(0, 6)], 'waiting', 'item:1'];
        yield 'an open finding on the line' => [['findings' => ['4' => FindingProgress::Open]], 'stop', 'finding:4'];
        yield 'a deferred one' => [['findings' => ['4' => FindingProgress::Deferred]], 'clear', null];
        yield 'an open one in a visit: its release waits for it' => [
            ['findings' => ['4' => FindingProgress::Open], 'visits' => $visit(0, 6)], 'waiting', null,
        ];
        yield 'in a visit that should be over' => [
            ['visits' => [VisitSpan::begun($day(-9), $day(-2), $day(1))]], 'waiting', null,
        ];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('pictures')]
    public function test_what_stops_it_first(array $with, string $state, ?string $driver): void
    {
        $outlook = self::ask(Pictures::aircraft($with));
        self::assertSame($state, $outlook->reach->state->value);
        self::assertSame($driver, $outlook->reach->driver?->id);
    }

    public function test_each_part_says_what_the_whole_says(): void
    {
        $outlook = self::ask(Pictures::aircraft([
            'items' => [self::item('1', 40.0), self::item('2', 20.0)],
            'bottles' => [Pictures::bottle('7', 30), Pictures::bottle('8', 3), Pictures::bottle('9', 20)],
            'deferrals' => [Pictures::deferral('3', 5)],
            'visits' => [VisitSpan::of(Day::parse('2026-05-10'), Day::parse('2026-05-11'), ['item:2', 'bottle:8'])],
        ]));
        $items = array_map(static fn(DueNow $i): array => [$i->item->key, $i->state->value], $outlook->items);
        self::assertSame([['1', 'watch'], ['2', 'clear']], $items);
        $bottles = array_map(
            static fn(BottleDue $b): array => [$b->bottle->componentId, (string) $b->last, $b->state->value],
            $outlook->bottles,
        );
        $first = [['8', '2026-05-07', 'stop'], ['9', '2026-05-24', 'watch'], ['7', '2026-06-03', 'clear']];
        self::assertSame($first, $bottles);
        self::assertSame('2026-05-09', (string) $outlook->deferrals['3']->forecastLast);
    }

    public function test_what_is_counted_late_is_warned_of_from_today(): void
    {
        $aircraft = Pictures::aircraft(['items' => [self::item('1', 40.0)]]);
        $later = Outlook::of($aircraft, Day::parse('2026-05-14'), Instant::parse('2026-05-14T12:00:00Z'), 14);
        self::assertSame('due_soon', $later->items[0]->due->status->value);
        self::assertSame('ok', self::ask($aircraft)->items[0]->due->status->value);
    }

    public function test_a_picture_without_what_falls_due_does_not_say_that_nothing_does(): void
    {
        $this->expectException(LogicException::class);
        self::ask(Pictures::aircraft(['items' => null]));
    }

    public function test_what_a_card_takes(): void
    {
        $takes = new Takes(['5' => ['1', '2']]);
        self::assertSame(['5', '1', '2'], $takes->items('5', null));
        self::assertSame(['item:5:7', 'item:1', 'item:2', 'bottle:7'], $takes->stops('5', '7'));
        self::assertSame(['item:1'], $takes->stops('1', null));
        self::assertSame([], $takes->stops(null, null));
    }

    private static function ask(AircraftNow $aircraft): Outlook
    {
        return Outlook::of($aircraft, Day::parse('2026-05-05'), Instant::parse('2026-05-05T12:00:00Z'), 14);
    }
}
