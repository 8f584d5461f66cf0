<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Crew\Model\Role;
use App\Fleet\Model\CalendarLink;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Http\Failures;
use App\Shared\PutAside;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\Feature\WorldCase;

/** What the server leaves behind, whom it believes, and what it does with a file that is broken. */
final class ServerTest extends WorldCase
{
    public function test_nothing_that_was_read_stays_in_the_browser(): void
    {
        foreach (['fleet', 'cards/1', 'me'] as $path) {
            self::assertStringContainsString(
                'no-store',
                (string) $this->as('ines', 'GET', $path)->assertOk()->headers->get('Cache-Control'),
                $path,
            );
        }
        self::assertStringContainsString(
            'no-store',
            (string) $this->as('ines', 'GET', 'photos/1')->headers->get('Cache-Control'),
            'a photo',
        );
        self::assertStringNotContainsString(
            'public',
            (string) $this->as('ines', 'GET', 'photos/1')->headers->get('Cache-Control'),
        );
    }

    /** @return iterable<string, array{Closure(self): mixed, int, string}> what stands in the way, status and words */
    public static function nothingCanBeSaved(): iterable
    {
        yield 'another is writing' => [
            static function (self $t): \PDO {
                DB::statement('pragma busy_timeout = 50');
                $other = new \PDO("sqlite:{$t->database}");
                $other->exec('begin immediate');

                return $other;
            }, 503, Failures::BUSY,
        ];
        yield 'the disk is full' => [
            static function (): bool {
                DB::statement('create table filler (bytes blob)');
                DB::statement('pragma max_page_count = '.(DB::scalar('pragma page_count') + 8));
                foreach ([20_000, 3000, 200] as $size) {
                    try {
                        for (; ;) {
                            DB::insert('insert into filler values (zeroblob(?))', [$size]);
                        }
                    } catch (QueryException) {
                        continue;
                    }
                }

                return true;
            }, 507, Failures::FULL,
        ];
    }

    /** @param Closure(self): mixed $meanwhile */
    #[DataProvider('nothingCanBeSaved')]
    public function test_what_cannot_be_saved_is_said_and_reading_goes_on(
        Closure $meanwhile,
        int $status,
        string $words,
    ): void {
        $card = Card::where(['title' => 'Flap travel timing', 'state' => Card::IN_WORK])->firstOrFail();
        $raise = fn() => $this->as('stig', 'POST', "cards/{$card->id}/findings", [
            'place' => 'left flap', 'extent' => str_repeat('scored all along ', 50),
            'sketch' => array_fill(0, 20, array_fill(0, 100, [0.123456, 0.654321])),
        ], 'the same');
        $held = $meanwhile($this);
        $findings = Finding::count();
        self::assertSame($words, $raise()->assertStatus($status)->json('message'));
        self::assertSame($findings, Finding::count());
        foreach (['me', 'floor', "cards/{$card->id}", 'fleet'] as $path) {
            $this->as('stig', 'GET', $path)->assertOk();
        }
        // When there is room again, the same intention is carried out.
        $held instanceof \PDO ? $held->exec('rollback') : DB::statement('pragma max_page_count = 1000000');
        $raise()->assertOk();
        self::assertSame($findings + 1, Finding::count());
    }

    public function test_what_is_done_stays_done_when_there_is_no_room_for_its_answer(): void
    {
        $card = Card::where(['title' => 'Flap travel timing', 'state' => Card::IN_WORK])->firstOrFail();
        $raise = fn() => $this->as('stig', 'POST', "cards/{$card->id}/findings", [
            'place' => 'left flap', 'extent' => 'scored',
        ], 'the same');
        $findings = Finding::count();
        DB::unprepared('create trigger no_room before update on answers begin '
            .'select raise(abort, \'database or disk is full\'); end');
        $raise()->assertOk();
        self::assertSame($findings + 1, Finding::count());
        DB::unprepared('drop trigger no_room');
        self::assertStringStartsWith('This was saved', (string) $raise()->json('message'));
        self::assertSame($findings + 1, Finding::count(), 'done once');
    }

    public function test_a_proxy_is_believed_only_where_a_setting_names_it(): void
    {
        $through = [
            'X-Forwarded-Proto' => 'https', 'X-Forwarded-For' => '10.1.2.3', 'Accept' => 'application/json',
            'Referer' => 'http://localhost',
        ];
        $secure = fn(): array => array_unique(array_map(
            static fn(Cookie $c): bool => $c->isSecure(),
            $this->get('/floor', $through)->headers->getCookies(),
        ));
        self::assertNull($this->get('/floor', $through)->headers->get('Strict-Transport-Security'));
        self::assertSame([false], $secure());
        config(['jorvel.proxies' => '127.0.0.1, 10.0.0.1']);
        self::assertSame('max-age=31536000', $this->get('/floor', $through)->headers->get('Strict-Transport-Security'));
        self::assertSame([true], $secure());
        self::assertStringNotContainsString('src="http://', (string) $this->get('/floor', $through)->getContent());
    }

    public function test_a_calendar_ends_with_its_holder_and_controllers_see_them_all(): void
    {
        $address = $this->as('ines', 'POST', 'calendar-links', ['name' => 'wall'])->assertCreated()->json('address');
        $this->get($address)->assertOk();
        $ines = $this->person('ines');
        $ines->update(['role' => Role::Viewer]);
        $this->get($address)->assertNotFound();
        $ines->update(['role' => Role::Controller, 'leaves' => '2026-05-01']);
        $this->get($address)->assertNotFound();
        $this->person('tor')->update(['role' => Role::Controller]);
        $id = CalendarLink::where('name', 'wall')->value('id');
        $seen = array_column((array) $this->as('tor', 'GET', 'calendar-links')->json(), null, 'id')[$id];
        self::assertSame(['Ines Maro', 'ended with its holder'], [$seen['whose'], $seen['revoked']]);
        $this->as('tor', 'POST', "calendar-links/{$id}/revoke")->assertOk();
        self::assertSame([], $this->as('mika', 'GET', 'calendar-links')->json());
    }

    /** @return iterable<string, array{string, string, string}> table, column, what it cannot be */
    public static function oddRows(): iterable
    {
        foreach ([
            'people.role', 'people.base', 'people.shift', 'qualifications.kind', 'visits.state', 'cards.state',
            'cards.stage', 'steps.state', 'assignments.role', 'findings.state', 'findings.severity',
            'readings.verdict', 'deferrals.category', 'tools.state', 'aircraft.base', 'bays.base', 'rota_days.shift',
        ] as $column) {
            yield $column => [...explode('.', $column), 'nowhere'];
        }
    }

    #[DataProvider('oddRows')]
    public function test_no_row_says_what_there_is_not(string $table, string $column, string $odd): void
    {
        self::assertTrue(DB::table($table)->exists());
        $this->expectException(QueryException::class);
        $this->expectExceptionMessageMatches('/constraint failed/');
        DB::table($table)->update([$column => $odd]);
    }

    public function test_every_foreign_key_has_an_index(): void
    {
        $without = [];
        foreach (DB::table('sqlite_master')->where('type', 'table')->pluck('name') as $table) {
            $first = array_map(
                static fn(object $i): string => DB::select("pragma index_info({$i->name})")[0]->name,
                DB::select("pragma index_list({$table})"),
            );
            $keys = array_unique(
                array_map(static fn(object $k): string => $k->from, DB::select("pragma foreign_key_list({$table})")),
            );
            $without = [
                ...$without, ...array_map(static fn(string $c): string => "{$table}.{$c}", array_diff($keys, $first)),
            ];
        }
        self::assertSame([], $without);
    }

    public function test_a_damaged_file_is_put_aside_and_a_new_one_made(): void
    {
        self::assertNull(PutAside::damaged());
        DB::purge();
        file_put_contents($this->database, str_repeat('no database ', 5000));
        self::assertSame(0, Artisan::call('jorvel:demo', ['--fresh' => true]));
        self::assertStringContainsString('put aside as', Artisan::output());
        $aside = glob($this->database.'.damaged-*') ?: [];
        self::assertCount(1, $aside);
        self::assertStringStartsWith('no database ', (string) file_get_contents($aside[0]));
        self::assertSame(26, DB::table('people')->count());
    }
}
