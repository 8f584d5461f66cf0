<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Crew: days that differ from the usual week, the crew of a shift. Floor: who stands at which card, hand-overs, places
 * on the aircraft, findings with photo and sketch. Library: revisions with their text, re-readings, questions. Stores:
 * tools checked, lent and recalled, parts by batch and where they were fitted.
 */
return new class extends Migration {
    public function up(): void
    {
        $this->crew();
        $this->floor();
        $this->library();
        $this->stores();
    }

    private function crew(): void
    {
        Schema::table('people', function (Blueprint $t): void {
            $t->boolean('trainee')->default(false);
        });
        Schema::create('rota_days', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->date('date');
            $t->string('shift')->nullable();
            $t->string('why');
            $t->foreignId('set_by')->nullable()->constrained('people');
            $t->unique(['person_id', 'date']);
        });
        Schema::create('shift_crews', function (Blueprint $t): void {
            $t->id();
            $t->string('base');
            $t->date('date');
            $t->string('shift');
            $t->integer('version')->default(0);
            $t->unique(['base', 'date', 'shift']);
        });
        Schema::create('shift_places', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('crew_id')->constrained('shift_crews');
            $t->foreignId('card_id')->nullable()->constrained('cards');
            $t->string('slot');
            $t->foreignId('person_id')->constrained('people');
            $t->unique(['crew_id', 'slot']);
        });
        DB::statement('alter table assignments add column under_id integer references people (id)');
    }

    private function floor(): void
    {
        Schema::table('aircraft_types', function (Blueprint $t): void {
            $t->json('inspected')->default('{}');
            $t->json('outline')->nullable();
        });
        Schema::create('places', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('name');
            $t->float('x');
            $t->float('y');
            $t->float('z');
            $t->unique(['type_id', 'name']);
        });
        Schema::table('cards', function (Blueprint $t): void {
            $t->json('systems')->default('[]');
            $t->json('covers')->default('[]');
        });
        Schema::create('presences', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('person_id')->unique()->constrained('people');
            $t->string('since');
        });
        Schema::create('handovers', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->text('state');
            $t->text('said');
            $t->string('at');
            $t->foreignId('taken_by')->nullable()->constrained('people');
            $t->string('taken_at')->nullable();
        });
        Schema::table('safing_devices', function (Blueprint $t): void {
            $t->json('against')->default('[]');
            $t->boolean('open_line')->default(false);
            $t->string('storage')->nullable();
        });
        Schema::table('findings', function (Blueprint $t): void {
            $t->string('severity')->default('minor');
            $t->integer('step_no')->nullable();
            $t->json('spot')->nullable();
            $t->json('sketch')->nullable();
            $t->unsignedBigInteger('repeat_of')->nullable();
            $t->index(['aircraft_id', 'raised_at']);
        });
        Schema::create('photos', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('finding_id')->constrained('findings');
            $t->foreignId('person_id')->constrained('people');
            $t->string('file');
            $t->string('mime');
            $t->integer('bytes');
            $t->string('sha256', 64);
            $t->string('at');
            $t->unique(['finding_id', 'sha256']);
        });
    }

    private function library(): void
    {
        Schema::create('manual_revisions', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('manual_id')->constrained('manuals');
            $t->integer('revision');
            $t->date('issued');
            $t->text('summary');
            $t->json('methods')->default('[]');
            $t->unique(['manual_id', 'revision']);
        });
        Schema::create('manual_passages', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('revision_id')->constrained('manual_revisions');
            $t->string('section');
            $t->string('title');
            $t->text('text');
            $t->unique(['revision_id', 'section']);
        });
        Schema::table('card_templates', function (Blueprint $t): void {
            $t->string('section')->default('');
            $t->json('systems')->default('[]');
            $t->json('covers')->nullable();
            $t->string('method')->default('');
            $t->json('fleets')->nullable();
            $t->boolean('held_at')->default(false);
        });
        DB::statement('alter table card_templates add column of_id integer references card_templates (id)');
        Schema::create('rereads', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('template_id')->nullable()->constrained('card_templates');
            $t->foreignId('card_id')->nullable()->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->integer('from_revision');
            $t->integer('to_revision');
            $t->string('outcome');
            $t->text('note');
            $t->string('at');
        });
        Schema::create('questions', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('manual_id')->constrained('manuals');
            $t->string('section');
            $t->foreignId('asked_by')->constrained('people');
            $t->string('asked_at');
            $t->text('text');
            $t->text('answer')->nullable();
            $t->string('reference')->nullable();
            $t->foreignId('answered_by')->nullable()->constrained('people');
            $t->string('answered_at')->nullable();
        });
    }

    private function stores(): void
    {
        Schema::table('aircraft', function (Blueprint $t): void {
            $t->string('effectivity')->default('');
        });
        Schema::create('tool_checks', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->constrained('tools');
            $t->date('date');
            $t->boolean('good');
            $t->string('note');
            $t->foreignId('person_id')->nullable()->constrained('people');
        });
        Schema::create('tool_loans', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->nullable()->constrained('tools');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->string('what');
            $t->integer('quantity')->default(1);
            $t->string('out_at');
            $t->foreignId('in_by')->nullable()->constrained('people');
            $t->string('in_at')->nullable();
            $t->index(['card_id', 'in_at']);
        });
        DB::statement('create unique index one_loan_at_a_time on tool_loans (tool_id) where in_at is null and '
            .'tool_id is not null');
        Schema::create('tool_uses', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->constrained('tools');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
        });
        Schema::create('tool_recalls', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('tool_id')->constrained('tools');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->date('found_on');
            $t->date('last_good')->nullable();
            $t->text('note');
            $t->string('at');
        });
        Schema::create('rechecks', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('recall_id')->constrained('tool_recalls');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('by_card_id')->constrained('cards');
            $t->unique(['recall_id', 'card_id']);
        });
        Schema::table('readings', function (Blueprint $t): void {
            $t->index(['tool_id', 'at']);
        });
        Schema::table('parts', function (Blueprint $t): void {
            $t->json('effectivity')->nullable();
            $t->boolean('one_time')->default(false);
            // What is in stock is the sum of the batches.
            $t->dropColumn('stock');
        });
        Schema::create('part_batches', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('part_id')->constrained('parts');
            $t->string('batch')->unique();
            $t->integer('quantity');
            $t->date('expires')->nullable();
        });
        Schema::create('fitted_parts', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('part_id')->constrained('parts');
            $t->foreignId('batch_id')->nullable()->constrained('part_batches');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('person_id')->constrained('people');
            $t->integer('quantity');
            $t->string('position');
            $t->boolean('again')->default(false);
            $t->string('at');
        });
    }
};
