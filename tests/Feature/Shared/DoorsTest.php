<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Shared\Records;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Contract\Door;
use Symfony\Component\Clock\NativeClock;
use Tests\Feature\WorldCase;

/** The three doors of the core, the record chain, and the stand-ins. */
final class DoorsTest extends WorldCase
{
    public function test_the_doors_give_the_same_answer(): void
    {
        foreach (glob(base_path('core/examples/*/*.json')) ?: [] as $path) {
            $kind = basename(dirname($path));
            $json = (string) json_encode(json_decode((string) file_get_contents($path))->input);
            $answer = Door::compute($kind, $json);
            $http = $this->actingAs($this->person('mika'))->call(
                'POST',
                "/api/compute/{$kind}",
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                $json,
            );
            self::assertSame([200, $answer], [$http->getStatusCode(), $http->getContent()], $path);
            self::assertSame([0, $answer."\n", ''], self::command($kind, $json), $path);
        }
    }

    public function test_bad_input_at_each_door(): void
    {
        $bad = '[{"as_of":"2026-05-04","counters":{},"rates":{},"item":{"rule":"first","rebase":"actual","limits":[{"unit":"fh","interval":0}]}}]';
        $body = '{"error":{"path":"0.item.limits.0.interval","message":"must be greater than 0"}}';
        self::assertSame([2, '', $body."\n"], self::command('due', $bad));
        $http = $this->actingAs($this->person('mika'))->call(
            'POST',
            '/api/compute/due',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $bad,
        );
        self::assertSame([422, $body], [$http->getStatusCode(), $http->getContent()]);
        self::assertSame(2, self::command('nothing', '{}')[0]);
        $this->as('mika', 'POST', 'compute/nothing')->assertNotFound();
        // Nobody keeps the server busy: neither with one long search nor with many.
        $this->as('mika', 'POST', 'compute/assign', ['people' => [], 'slots' => [], 'budget_ms' => 60_000])
            ->assertStatus(422)->assertJsonPath('error.path', 'budget_ms');
        config(['jorvel.compute_a_minute' => 2]);
        $this->as('mika', 'POST', 'compute/nothing')->assertStatus(429);
        config(['jorvel.compute_a_minute' => 60]);
        $token = $this->person('mika')->createToken('script')->plainTextToken;
        $this->app['auth']->forgetGuards();
        $this->withToken($token)
            ->postJson('/api/compute/rig', ['points' => [], 'adjusters' => [], 'effects' => (object) []])->assertOk()
            ->assertJsonPath('proven', true);
    }

    public function test_records_refuse_to_be_changed_and_show_it_when_forced(): void
    {
        $records = app(Records::class);
        self::assertNull($records->verify()['broken']);
        foreach (["update records set who = 'x' where id = 3", 'delete from records where id = 3'] as $sql) {
            try {
                DB::statement($sql);
                self::fail('the table took it');
            } catch (QueryException $e) {
                self::assertStringContainsString('append-only', $e->getMessage());
            }
        }
        DB::statement('drop trigger records_no_update');
        $was = DB::table('records')->where('id', 3)->value('data');
        DB::table('records')->where('id', 3)->update(['data' => '{}']);
        self::assertSame(['id' => 3, 'why' => 'its contents do not match its hash'], $records->verify()['broken']);
        DB::table('records')->where('id', 3)->update(['data' => $was]);
        self::assertNull($records->verify()['broken']);
        DB::statement('drop trigger records_no_delete');
        DB::statement('delete from records where id = 3');
        self::assertSame(['id' => 4, 'why' => 'record 3 is missing'], $records->verify()['broken']);
    }

    public function test_the_stand_ins_are_enough(): void
    {
        self::assertSame([1, 3, null, null], [
            array_first([1, 2, 3]), array_last([1, 2, 3]), array_first([]), array_last([]),
        ]);
        $handler = static fn(): bool => true;
        set_error_handler($handler);
        self::assertSame($handler, get_error_handler());
        restore_error_handler();
        $thrown = static function (): void {};
        set_exception_handler($thrown);
        self::assertSame($thrown, get_exception_handler());
        restore_exception_handler();
        $clock = (new NativeClock('Europe/Oslo'))->withTimeZone('UTC');
        self::assertEqualsWithDelta(time(), $clock->now()->getTimestamp(), 2);
        $this->get('/')->assertOk();
    }

    /** @return array{int, string, string} exit code, standard output, standard error */
    private static function command(string $kind, string $json): array
    {
        $process = proc_open(
            [PHP_BINARY, base_path('artisan'), 'jorvel:compute', $kind],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        self::assertNotFalse($process);
        fwrite($pipes[0], $json);
        fclose($pipes[0]);
        [$out, $error] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), $out, $error];
    }
}
