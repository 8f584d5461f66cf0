<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Rules of what follows from a finding or an exceeded limit, what they opened, and limits that were exceeded. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('follow_rules', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->integer('version');
            $t->json('body');
            $t->enum('state', ['proposed', 'in_force', 'replaced', 'declined', 'withdrawn'])->default('proposed');
            $t->foreignId('proposed_by')->constrained('people');
            $t->string('proposed_at');
            $t->string('reason')->default('');
            $t->foreignId('decided_by')->nullable()->constrained('people');
            $t->string('decided_at')->nullable();
            $t->string('why')->default('');
            $t->unique(['type_id', 'code', 'version']);
            $t->index(['type_id', 'state']);
            $t->index('proposed_by');
            $t->index('decided_by');
        });
        Schema::create('exceedances', static function (Blueprint $t): void {
            $t->id();
            $t->string('number')->unique();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('rule_id')->constrained('follow_rules');
            $t->string('position');
            $t->float('peak');
            $t->float('seconds');
            $t->enum('source', ['card', 'run', 'recorder', 'crew']);
            $t->foreignId('step_id')->nullable()->constrained('steps');
            $t->foreignId('person_id')->constrained('people');
            $t->string('happened_at');
            $t->string('at');
            $t->string('row');
            $t->string('note')->default('');
            $t->foreignId('finding_id')->nullable()->constrained('findings');
            $t->string('mistake')->nullable();
            $t->unique(['aircraft_id', 'rule_id', 'position', 'happened_at']);
            $t->index('rule_id');
            $t->index('step_id');
            $t->index('person_id');
            $t->index('finding_id');
        });
        Schema::create('follow_ups', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('finding_id')->constrained('findings');
            $t->foreignId('rule_id')->constrained('follow_rules');
            $t->enum('kind', ['question', 'look', 'card', 'suspect']);
            $t->string('text');
            $t->json('choices');
            $t->string('chapter')->nullable();
            $t->foreignId('card_id')->nullable()->constrained('cards');
            $t->enum('state', ['open', 'answered', 'not_needed'])->default('open');
            $t->string('answer')->default('');
            $t->foreignId('led_to')->nullable()->constrained('findings');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->string('at')->nullable();
            $t->index('finding_id');
            $t->index('rule_id');
            $t->index('card_id');
            $t->index('led_to');
            $t->index('person_id');
        });
        // An open finding stops an aircraft on the line: what stops it is worked out anew when one is raised or settled.
        foreach (['insert', 'update'] as $on) {
            DB::unprepared("create trigger due_findings_{$on} after {$on} on findings begin "
                .'delete from due_sheets where aircraft_id = new.aircraft_id; end');
        }
    }
};
