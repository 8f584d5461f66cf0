<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a row may say is the database's business too: states, roles and kinds are of the few there are, and a base or a
 * shift is one that exists. SQLite takes this only into a new table, so that each is made anew and its rows are moved.
 */
return new class extends Migration {
    /** A table made anew stands outside a transaction of Laravel's, for its keys are off meanwhile. */
    public $withinTransaction = false;

    /** By table and column: what there is. */
    private const ONE_OF = [
        'people' => ['role' => ['controller', 'technician', 'inspector', 'certifier', 'viewer']],
        'qualifications' => ['kind' => ['skill', 'rating', 'authority']],
        'visits' => ['state' => ['planned', 'in_work', 'released']],
        'cards' => [
            'state' => ['open', 'in_work', 'signed', 'closed'],
            'phase' => ['induct', 'safe', 'open', 'look', 'fix', 'close', 'test', 'release'],
        ],
        'steps' => ['state' => ['open', 'done']],
        'assignments' => ['role' => ['perform', 'trainee', 'duplicate', 'certify']],
        'findings' => [
            'state' => ['open', 'deferred', 'fixed'], 'severity' => ['minor', 'major', 'critical'],
        ],
        'readings' => ['verdict' => ['pass', 'fail', 'marginal', 'invalid']],
        'acting' => ['how' => ['energises', 'moves', 'pressurises']],
        'deferrals' => ['category' => ['A', 'B', 'C', 'D']],
        'tools' => ['state' => ['in', 'calibration', 'recalled', 'gone']],
        'plan_runs' => ['state' => ['waiting', 'running', 'done', 'cancelled', 'failed']],
        'imports' => ['state' => ['previewed', 'applied']],
    ];

    /** By table and column: the table and the column that hold it. */
    private const KEYS = [
        'people' => ['base' => 'bases (name)', 'shift' => 'shifts (code)'],
        'aircraft' => ['base' => 'bases (name)'],
        'bays' => ['base' => 'bases (name)'],
        'shift_crews' => ['base' => 'bases (name)', 'shift' => 'shifts (code)'],
        'rota_days' => ['shift' => 'shifts (code)'],
    ];

    public function up(): void
    {
        foreach (array_keys(self::ONE_OF + self::KEYS) as $table) {
            $this->requireWhole($table);
        }
        DB::statement('pragma foreign_keys = off');
        DB::statement('pragma legacy_alter_table = on');
        try {
            DB::transaction(function (): void {
                $triggers = $this->made('trigger');
                foreach (array_keys($triggers) as $name) {
                    DB::statement("drop trigger {$name}");
                }
                foreach (array_keys(self::ONE_OF + self::KEYS) as $table) {
                    $this->anew($table);
                }
                foreach (self::KEYS as $table => $columns) {
                    foreach (array_keys($columns) as $column) {
                        DB::statement("create index \"{$table}_{$column}\" on \"{$table}\" (\"{$column}\")");
                    }
                }
                array_map(DB::unprepared(...), array_values($triggers));
                $broken = DB::select('pragma foreign_key_check');
                if ($broken !== []) {
                    throw new RuntimeException('Rows name what there is not: '.json_encode(array_slice($broken, 0, 5)));
                }
            });
        } finally {
            DB::statement('pragma legacy_alter_table = off');
            DB::statement('pragma foreign_keys = on');
        }
    }

    /** Nothing is guessed: a row that says something else is named, and nothing is changed. */
    private function requireWhole(string $table): void
    {
        foreach (self::ONE_OF[$table] ?? [] as $column => $values) {
            $odd = DB::table($table)->whereNotIn($column, $values)->limit(5)->pluck($column, 'id')->all();
            if ($odd !== []) {
                throw new RuntimeException("Table {$table}: {$column} is one of ".implode(', ', $values)
                    .'; mend these rows first: '.json_encode($odd));
            }
        }
        foreach (self::KEYS[$table] ?? [] as $column => $of) {
            [$other, $key] = explode(' ', str_replace(['(', ')'], '', $of));
            $odd = DB::table($table)->whereNotNull($column)
                ->whereNotIn($column, DB::table($other)->select($key))
                ->limit(5)->pluck($column, 'id')->all();
            if ($odd !== []) {
                throw new RuntimeException("Table {$table}: {$column} is none of the {$other}; mend these rows first: "
                    .json_encode($odd));
            }
        }
    }

    private function anew(string $table): void
    {
        $indices = $this->made('index', $table);
        $sql = $this->made('table', $table)[$table];
        $more = '';
        foreach (self::ONE_OF[$table] ?? [] as $column => $values) {
            $more .= ", check (\"{$column}\" in ('".implode("', '", $values)."'))";
        }
        foreach (self::KEYS[$table] ?? [] as $column => $of) {
            $more .= ", foreign key (\"{$column}\") references {$of}";
        }
        $open = (int) strpos($sql, '(');
        $close = (int) strrpos($sql, ')');
        DB::statement("create table \"{$table}_anew\" ".substr($sql, $open, $close - $open).$more.')');
        DB::statement("insert into \"{$table}_anew\" select * from \"{$table}\"");
        DB::statement("drop table \"{$table}\"");
        DB::statement("alter table \"{$table}_anew\" rename to \"{$table}\"");
        array_map(DB::statement(...), array_values($indices));
    }

    /** @return array<string, string> what made it, by name */
    private function made(string $type, ?string $table = null): array
    {
        return DB::table('sqlite_master')->where('type', $type)->whereNotNull('sql')
            ->when($table !== null, static fn($q) => $q->where('tbl_name', $table))
            ->pluck('sql', 'name')->all();
    }
};
