<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a card can say besides "done": that a step does not apply, that something was parted and proven again, which
 * points of a circuit were seen, what was remarked, and what the card waits for.
 */
return new class extends Migration {
    /** The table of steps is made anew outside a transaction of Laravel's, for its keys are off meanwhile. */
    public $withinTransaction = false;

    public function up(): void
    {
        $this->stepsAnew("'open', 'done'", "'open', 'done', 'not_applicable'");
        $kinds = ['torque', 'locking', 'leak', 'bleed', 'tension', 'travel', 'continuity', 'reading',
            'functional_test', 'independent_inspection'];
        Schema::table('aircraft', static function (Blueprint $t): void {
            $t->json('options')->nullable();
        });
        Schema::create('disturbances', static function (Blueprint $t) use ($kinds): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('component_id')->nullable()->constrained('components');
            $t->string('what');
            $t->enum('act', ['disturbed', 'joined', 'proven']);
            $t->enum('how', ['parted', 'slackened', 'opened', 'turned', 'removed', 'disconnected', 'redone'])
                ->nullable();
            $t->json('needs')->nullable();
            $t->enum('proof', $kinds)->nullable();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->nullable()->constrained('steps');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->boolean('stands')->default(true);
            $t->boolean('settled')->default(false);
            $t->index(['aircraft_id', 'settled', 'stands']);
            $t->index(['component_id', 'settled', 'stands']);
            $t->index('card_id');
            $t->index('step_id');
            $t->index('person_id');
        });
        Schema::create('circuit_points', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->string('point');
            $t->string('entry');
            $t->float('value')->nullable();
            $t->enum('verdict', ['pass', 'fail', 'marginal', 'invalid']);
            $t->foreignId('tool_id')->nullable()->constrained('tools');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->boolean('stands')->default(true);
            $t->index(['step_id', 'stands']);
            $t->index('tool_id');
            $t->index('person_id');
        });
        Schema::create('remarks', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('person_id')->constrained('people');
            $t->text('text');
            $t->string('at');
            $t->index('card_id');
            $t->index('step_id');
            $t->index('person_id');
        });
        Schema::create('stoppages', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->nullable()->constrained('steps');
            $t->enum('kind', ['part', 'tool', 'help', 'answer']);
            $t->string('what');
            $t->foreignId('person_id')->constrained('people');
            $t->string('since');
            $t->foreignId('ended_by')->nullable()->constrained('people');
            $t->string('ended_at')->nullable();
            $t->index(['card_id', 'ended_at']);
            $t->index('step_id');
            $t->index('person_id');
            $t->index('ended_by');
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
