<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Floor\Model\Card;
use App\Shared\Clock;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Jorvel\Core\Shared\Instant;
use Tests\Feature\WorldCase;

/**
 * A database of the version before each aggregate had one picture, as it lay on somebody's disk, is carried over and
 * worked on.
 */
final class UpgradeTest extends WorldCase
{
    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 3).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        $this->database = (string) tempnam(sys_get_temp_dir(), 'jorvel-old');
        (new \PDO("sqlite:{$this->database}"))->exec((string) gzdecode((string) file_get_contents(
            dirname(__DIR__, 2).'/fixtures/before-one-truth.sql.gz',
        )));
        config(['database.connections.sqlite.database' => $this->database]);

        return $app;
    }

    /** @return list<mixed> what nobody may lose: rows and what was signed, by table */
    private function kept(): array
    {
        $count = static fn(string $table): int => DB::table($table)->count();
        $counted = array_map($count, [
            'aircraft', 'cards', 'steps', 'readings', 'findings', 'deferrals', 'safing_devices', 'presences',
            'tool_loans', 'item_statuses', 'flying_entries', 'records', 'assignments', 'visits',
        ]);

        return [
            $counted,
            DB::table('cards')->orderBy('id')->get(['id', 'number', 'state', 'signed_by', 'signed_at', 'inspected_by'])
                ->toJson(),
            DB::table('readings')->orderBy('id')->get(['id', 'value', 'unit', 'verdict', 'at'])->toJson(),
            DB::table('aircraft')->orderBy('id')->get(['mark', 'counters', 'counters_as_of'])->toJson(),
            DB::table('records')->orderBy('id')->pluck('hash')->all(),
        ];
    }

    private function requireWhole(): void
    {
        self::assertSame(0, Artisan::call('jorvel:verify'), Artisan::output());
    }

    public function test_it_is_carried_over_whole_and_worked_on(): void
    {
        $before = $this->kept();
        self::assertSame(0, Artisan::call('migrate', ['--force' => true]));
        self::assertEquals($before, $this->kept());
        self::assertSame([], DB::select('pragma foreign_key_check'));
        self::assertSame('ok', DB::scalar('pragma integrity_check'));
        $this->requireWhole();

        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
        foreach ([
            'fleet', 'fleet/QA-VFA', 'fleet/QA-VFB/history', 'due', 'visits', 'visits/1', 'visits/1/board', 'crew',
            'people/2', 'floor', 'registers', 'bench', 'deferrals', 'release', 'release/1', 'library', 'stores',
            'bottles',
        ] as $path) {
            $this->as('ines', 'GET', $path)->assertOk();
        }
        foreach (Card::pluck('id') as $id) {
            $this->as('oda', 'GET', "cards/{$id}")->assertOk();
        }
        $card = DB::table('cards')->join('assignments', 'assignments.card_id', '=', 'cards.id')
            ->join('people', 'people.id', '=', 'assignments.person_id')->where('people.login', 'oda')
                ->where('cards.state', 'in_work')->orderBy('cards.id')->first(['cards.id', 'cards.version']);
        $this->as('oda', 'POST', "cards/{$card?->id}/loans", ['what' => 'rags', 'quantity' => 4], 'after-the-upgrade')
            ->assertOk();
        $this->requireWhole();
    }

    /** What is made new and what is carried over have the same shape: columns, keys and indices. */
    public function test_it_then_has_the_shape_of_a_new_one(): void
    {
        Artisan::call('migrate', ['--force' => true]);
        $shape = static function (): array {
            $tables = array_column(Schema::getTables(), 'name');
            sort($tables);
            $of = static fn(string $t): array => [
                array_map(
                    static fn(array $c): array => [$c['name'], $c['type_name'], $c['nullable']],
                    Schema::getColumns($t),
                ),
                array_map(
                    static fn(array $i): array => [$i['name'], $i['columns'], $i['unique']],
                    Schema::getIndexes($t),
                ),
                array_map(
                    static fn(array $k): array => [$k['columns'], $k['foreign_table']],
                    Schema::getForeignKeys($t),
                ),
            ];

            return array_combine($tables, array_map($of, $tables));
        };
        $carried = $shape();
        $new = (string) tempnam(sys_get_temp_dir(), 'jorvel-new');
        config(['database.connections.sqlite.database' => $new]);
        app('db')->purge();
        Artisan::call('migrate:fresh', ['--force' => true]);
        self::assertEquals($shape(), $carried);
        array_map(unlink(...), glob("{$new}*") ?: []);
    }
}
