<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Floor\Model\Card;
use App\Now\HangarHours;
use App\Now\LoadCard;
use App\Shared\Memo;
use App\Shared\Records;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * What the commonest acts cost: queries, and the write lock. And that nothing remembered or kept outlives what it was
 * made of.
 */
final class BudgetTest extends WorldCase
{
    /**
     * @return iterable<string, array{string, int, int}> what is done, the most queries it may take, the transactions
     *   that it opens
     */
    public static function acts(): iterable
    {
        yield 'a step counted' => ['count', 30, 1];
        yield 'two readings compared' => ['compare', 38, 1];
        yield 'a system set going' => ['start', 30, 1];
        yield 'a move, previewed' => ['preview', 26, 0];
        yield 'a move, saved' => ['move', 40, 1];
        yield 'a slip' => ['slip', 20, 0];
    }

    #[DataProvider('acts')]
    public function test_an_act_keeps_to_its_budget(string $act, int $most, int $transactions): void
    {
        $do = $this->act($act);
        $begun = 0;
        DB::connection()->beforeStartingTransaction(static function () use (&$begun): void {
            $begun++;
        });
        DB::flushQueryLog();
        DB::enableQueryLog();
        $do();
        // Without the three of this test, which find who asks and the version that they saw.
        $log = array_slice(array_column(DB::getQueryLog(), 'query'), 3);
        self::assertLessThanOrEqual($most, count($log), implode("\n", $log));
        self::assertSame($transactions > 0, $begun > 0, "{$begun} transactions");
    }

    /** @return Closure(): mixed */
    private function act(string $act): Closure
    {
        $card = Card::where(['title' => 'Gear extension by hand pump', 'state' => Card::IN_WORK])->firstOrFail();
        DB::table('presences')->delete();
        DB::table('safing_devices')->update(['removed_at' => '2026-05-05T12:00:00Z']);
        $step = fn(int $no, array $body) => $this->as(
            'oda',
            'POST',
            "cards/{$card->id}/steps/{$no}",
            ['version' => $card->refresh()->version, ...$body],
            "k{$no}",
        )->assertOk();
        $count = fn() => $step(8, ['do' => 'count', 'entry' => '50']);
        $compare = fn()
            => $step(9, ['do' => 'compare', 'entries' => ['shown' => '92', 'real' => '91'], 'tool' => 'PG-28']);
        $moved = Card::where(['visit_id' => 1, 'state' => Card::OPEN])->orderBy('planned_start')->firstOrFail();
        $move = fn(bool $keep) => $this->as('ines', 'POST', $this->block('/board/move'), [
            'card' => $moved->id, 'slot' => 40,
            'version' => (int) DB::table('visit_plans')->where('visit_id', 1)->value('version'), 'save' => $keep,
        ])->assertOk();
        $this->person('ines');
        if ($act === 'compare' || $act === 'start') {
            $count();
        }
        if ($act === 'start') {
            $compare();
        }

        return match ($act) {
            'count' => $count,
            'compare' => $compare,
            'start' => fn() => $step(10, ['do' => 'start']),
            'slip' => fn()
                => [$moved->refresh(), $this->as('ines', 'GET', $this->block("/cards/{$moved->id}/slip"))->assertOk()],
            default => static fn() => $move($act === 'move'),
        };
    }

    public function test_a_card_is_loaded_with_columns_that_are_there_and_no_fewer_than_it_has(): void
    {
        foreach (LoadCard::ONE as $name => [$class, $columns]) {
            $there = Schema::getColumnListing((new $class)->getTable());
            self::assertSame([], array_diff($columns, $there), $name);
            // A template's steps are copied to the card, an item is only named; all else is whole.
            self::assertSame(in_array($name, ['template', 'item'], true), array_diff($there, $columns) !== [], $name);
        }
        foreach (LoadCard::MANY as $name => [$class, , $columns]) {
            self::assertSame([], array_diff($columns, Schema::getColumnListing((new $class)->getTable())), $name);
        }
        foreach (Card::inRandomOrder('7')->limit(20)->pluck('id') as $id) {
            $loaded = app(LoadCard::class)($id)->card;
            $plain = Card::with([
                'visit', 'aircraft.type', 'assignments', 'hands', 'handovers', 'waitsFor:id,number,title,state',
                'steps',
            ])->findOrFail($id);
            self::assertSame($plain->getAttributes(), $loaded->getAttributes());
            foreach (['visit', 'assignments', 'hands', 'handovers', 'waitsFor', 'steps'] as $relation) {
                $of = static fn(Card $c): array => array_map(
                    static fn(array $r): array => array_diff_key($r, ['pivot' => 0, 'person' => 0, 'card' => 0]),
                    $relation === 'visit'
                        ? [$c->visit->toArray()]
                        : $c->getRelation($relation)->sortBy('id')->values()->toArray(),
                );
                self::assertEquals($of($plain), $of($loaded), $relation);
            }
            self::assertSame($plain->aircraft->getAttributes(), $loaded->aircraft->getAttributes());
        }
    }

    public function test_what_is_remembered_is_forgotten_when_its_table_is_written_to(): void
    {
        $visit = Visit::with('aircraft.type')->findOrFail(1);
        $people = static fn(): int
            => max(app(HangarHours::class)->of($visit, Instant::parse('2026-05-06T08:00:00Z'))->people()['*']);
        $before = $people();
        DB::enableQueryLog();
        DB::flushQueryLog();
        self::assertSame([$before, []], [$people(), DB::getQueryLog()], 'asked again, it is remembered');
        DB::table('people')->where('role', 'technician')->update(['leaves' => '2026-05-01']);
        self::assertLessThan($before, $people());
        $memo = app(Memo::class);
        $n = 0;
        $make = static function () use (&$n): int {
            return ++$n;
        };
        $seen = [$memo->of('k', ['bays'], $make), $memo->of('k', ['bays'], $make)];
        DB::table('settings')->where('name', 'none')->update(['value' => '1']);
        $seen[] = $memo->of('k', ['bays'], $make);
        DB::table('bays')->where('id', -1)->delete();
        $seen[] = $memo->of('k', ['bays'], $make);
        self::assertSame([1, 1, 1, 2], $seen);
    }

    public function test_a_forecast_is_kept_until_something_that_it_rests_on_changes(): void
    {
        config(['cache.default' => 'database']);
        $window = fn(): array => (array) $this->as('ines', 'GET', $this->block('/window'))->assertOk()->json();
        $first = $window();
        self::assertSame($first, $window());
        self::assertSame(1, DB::table('cache')->where('key', 'like', '%window%')->count());
        $changes = [
            'a finding' => 'update findings set state = \'fixed\', settled_at = raised_at where card_id in (select id '
                .'from cards where visit_id = 1) and state = \'open\'',
            'the plan' => 'update cards set hours = hours + 30 where visit_id = 1 and state = \'open\'',
            'who is there' => "update people set leaves = '2026-05-01' where role = 'technician'",
        ];
        foreach ($changes as $what => $sql) {
            $before = $window();
            self::assertGreaterThan(0, DB::update($sql), $what);
            self::assertNotSame($before, $window(), $what);
        }
    }

    public function test_the_chain_is_whole_though_a_transaction_between_was_taken_back(): void
    {
        $records = app(Records::class);
        $write = static fn(string $what) => $records->write(null, $what, 'card:1');
        DB::transaction(static function () use ($write): void {
            $write('test.one');
            $write('test.two');
        });
        try {
            DB::transaction(static function () use ($write): void {
                $write('test.lost');
                throw new \RuntimeException('taken back');
            });
        } catch (\RuntimeException) {
            $write('test.three');
        }
        self::assertNull($records->verify()['broken']);
        self::assertSame(
            ['test.three', 'test.two', 'test.one'],
            DB::table('records')->orderByDesc('id')->limit(3)->pluck('what')->all(),
        );
    }
}
