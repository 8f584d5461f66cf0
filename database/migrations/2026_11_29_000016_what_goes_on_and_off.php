<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Components that a step takes off and puts on, with their tags; fluids and greases, what they never meet and what was
 * filled in; gauges that a card reads; what went wrong at a card once; and checks on the line, without a visit.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('components', static function (Blueprint $t): void {
            $t->string('tag')->default('serviceable');
            $t->string('tag_why')->nullable();
        });
        Schema::create('exchanges', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('position');
            $t->foreignId('off_id')->nullable()->constrained('components');
            $t->foreignId('off_by')->nullable()->constrained('people');
            $t->string('off_at')->nullable();
            $t->string('tag')->nullable();
            $t->string('why')->default('');
            $t->foreignId('on_id')->nullable()->constrained('components');
            $t->foreignId('on_by')->nullable()->constrained('people');
            $t->string('on_at')->nullable();
            $t->json('hardware');
            $t->boolean('stands')->default(true);
            $t->index(['step_id', 'stands']);
            $t->index('card_id');
            $t->index('aircraft_id');
            $t->index('off_id');
            $t->index('on_id');
            $t->index('off_by');
            $t->index('on_by');
        });
        // Laravel would make the table anew for a key, and lose the triggers by which due sheets fall.
        DB::statement('alter table pressure_readings add column step_id integer references steps (id)');
        DB::statement('create index pressure_readings_step_id_index on pressure_readings (step_id)');
        Schema::table('parts', static function (Blueprint $t): void {
            $t->string('specification')->nullable();
            $t->string('unit')->nullable();
            $t->json('never')->nullable();
        });
        // A photo is of a finding, or belongs to a word at a step.
        Schema::table('photos', static function (Blueprint $t): void {
            $t->unsignedBigInteger('finding_id')->nullable()->change();
        });
        DB::statement('alter table remarks add column photo_id integer references photos (id)');
        DB::statement('create index remarks_photo_id_index on remarks (photo_id)');
        Schema::table('programme_items', static function (Blueprint $t): void {
            $t->string('line')->nullable();
            $t->integer('validity')->nullable();
            $t->string('from')->nullable();
            $t->integer('phase_in')->nullable();
        });
        Schema::table('visits', static function (Blueprint $t): void {
            $t->string('kind')->default('visit');
        });
        Schema::create('validities', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('item_id')->constrained('programme_items');
            $t->foreignId('visit_id')->unique()->constrained('visits');
            $t->string('until');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->index(['aircraft_id', 'item_id']);
            $t->index('item_id');
            $t->index('person_id');
        });
        Schema::create('lessons', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('template_id')->constrained('card_templates');
            $t->foreignId('card_id')->nullable()->constrained('cards');
            $t->text('text');
            $t->foreignId('proposed_by')->constrained('people');
            $t->string('proposed_at');
            $t->enum('state', ['proposed', 'accepted', 'declined'])->default('proposed');
            $t->foreignId('decided_by')->nullable()->constrained('people');
            $t->string('decided_at')->nullable();
            $t->string('why')->default('');
            $t->index(['template_id', 'state']);
            $t->index('card_id');
            $t->index('proposed_by');
            $t->index('decided_by');
        });
        Schema::create('lesson_reads', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('lesson_id')->constrained('lessons');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->unique(['lesson_id', 'person_id']);
            $t->index('person_id');
        });
        Schema::create('fillings', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('part_id')->constrained('parts');
            $t->foreignId('batch_id')->constrained('part_batches');
            $t->string('system');
            $t->string('position')->default('');
            $t->float('quantity');
            $t->float('drained')->default(0);
            $t->string('unit');
            $t->boolean('uplift')->default(false);
            $t->float('flown')->nullable();
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->boolean('stands')->default(true);
            $t->index(['step_id', 'stands']);
            $t->index(['aircraft_id', 'uplift', 'stands']);
            $t->index('card_id');
            $t->index('part_id');
            $t->index('batch_id');
            $t->index('person_id');
        });
    }
};
