<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Attempts at functional tests, each kept as it was; fault trees and the way through them; what recorders took; what
 * instruments send.
 */
return new class extends Migration {
    /** The table of steps is made anew outside a transaction of Laravel's, for its keys are off meanwhile. */
    public $withinTransaction = false;

    public function up(): void
    {
        $this->stepsAnew("'open', 'done', 'not_applicable'", "'open', 'done', 'not_applicable', 'not_reached'");
        Schema::create('test_attempts', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('card_id')->constrained('cards');
            $t->string('key');
            $t->string('title');
            $t->string('system');
            $t->string('chapter');
            $t->unsignedInteger('no');
            $t->enum('state', ['begun', 'passed', 'failed', 'invalid', 'broken_off'])->default('begun');
            $t->boolean('stands')->default(true);
            $t->foreignId('begun_by')->constrained('people');
            $t->string('begun_at');
            $t->json('conditions');
            $t->foreignId('broken_by')->nullable()->constrained('people');
            $t->string('broken_at')->nullable();
            $t->string('broken_why', 500)->nullable();
            $t->enum('broken_as', ['broken_off', 'invalid'])->default('broken_off');
            $t->foreignId('ended_by')->nullable()->constrained('people');
            $t->string('ended_at')->nullable();
            $t->json('decided')->nullable();
            $t->json('kept')->nullable();
            $t->foreignId('finding_id')->nullable()->constrained('findings');
            $t->unique(['card_id', 'key', 'no']);
            $t->index(['aircraft_id', 'begun_at']);
            $t->index(['state', 'begun_at']);
            $t->index('begun_at');
            $t->index('begun_by');
            $t->index('broken_by');
            $t->index('ended_by');
            $t->index('finding_id');
        });
        Schema::create('fault_trees', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->unsignedInteger('version');
            $t->string('title');
            $t->string('source');
            $t->json('nodes');
            $t->enum('state', ['proposed', 'in_force', 'replaced', 'declined']);
            $t->string('reason', 500);
            $t->foreignId('proposed_by')->constrained('people');
            $t->string('proposed_at');
            $t->foreignId('decided_by')->nullable()->constrained('people');
            $t->string('decided_at')->nullable();
            $t->unique(['type_id', 'code', 'version']);
            $t->index(['type_id', 'state']);
            $t->index('proposed_by');
            $t->index('decided_by');
        });
        Schema::create('fault_walks', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('finding_id')->unique()->constrained('findings');
            $t->foreignId('tree_id')->constrained('fault_trees');
            $t->foreignId('attempt_id')->nullable()->constrained('test_attempts');
            $t->json('path');
            $t->string('cause')->nullable();
            $t->string('ended_at')->nullable();
            $t->unsignedInteger('version')->default(1);
            $t->index('tree_id');
            $t->index('attempt_id');
        });
        Schema::create('recorders', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->string('title');
            $t->json('mapping');
            $t->unsignedInteger('version')->default(1);
            $t->unique(['type_id', 'code']);
        });
        Schema::create('recordings', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('recorder_id')->constrained('recorders');
            $t->foreignId('attempt_id')->nullable()->constrained('test_attempts');
            $t->foreignId('person_id')->constrained('people');
            $t->string('name');
            $t->string('begun_at');
            $t->string('at');
            $t->unsignedInteger('samples');
            $t->float('seconds');
            $t->json('signals');
            $t->json('found');
            $t->string('sha256');
            $t->binary('data');
            $t->index(['aircraft_id', 'at']);
            $t->index('recorder_id');
            $t->index('attempt_id');
            $t->index('person_id');
        });
        Schema::create('instrument_tokens', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->constrained('tools');
            $t->string('hash')->unique();
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->string('revoked_at')->nullable();
            $t->index(['tool_id', 'revoked_at']);
            $t->index('person_id');
        });
        Schema::create('instrument_readings', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->constrained('tools');
            $t->float('value')->nullable();
            $t->string('unit');
            $t->string('said')->nullable();
            $t->string('at');
            $t->index(['tool_id', 'id']);
        });
    }

    private function stepsAnew(string $was, string $is): void
    {
        $made = static fn(string $type): array => DB::table('sqlite_master')
            ->where(['type' => $type, 'tbl_name' => 'steps'])->whereNotNull('sql')->pluck('sql', 'name')->all();
        $sql = $made('table')['steps'];
        if (! str_contains($sql, $was)) {
            throw new RuntimeException("The table of steps is not the one that this change knows: {$sql}");
        }
        [$indices, $triggers] = [$made('index'), $made('trigger')];
        $body = str_replace($was, $is, substr($sql, (int) strpos($sql, '(')));
        DB::statement('pragma foreign_keys = off');
        DB::statement('pragma legacy_alter_table = on');
        try {
            DB::transaction(static function () use ($body, $indices, $triggers): void {
                DB::statement("create table steps_anew {$body}");
                DB::statement('insert into steps_anew select * from steps');
                DB::statement('drop table steps');
                DB::statement('alter table steps_anew rename to steps');
                array_map(DB::unprepared(...), [...array_values($indices), ...array_values($triggers)]);
                if (DB::select('pragma foreign_key_check') !== []) {
                    throw new RuntimeException('Rows name steps that there are not; nothing was changed.');
                }
            });
        } finally {
            DB::statement('pragma legacy_alter_table = off');
            DB::statement('pragma foreign_keys = on');
        }
    }
};
