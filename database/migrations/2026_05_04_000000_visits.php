<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Visits that can be worked: bays and shifts with their hours, zones and panels of a type, parts with what is ordered
 * and reserved, cards with their needs and their order, plans with the runs that make them, and each day's forecast of
 * the exit.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('bays', function (Blueprint $t): void {
            $t->id();
            $t->string('name')->unique();
            $t->string('base');
            $t->integer('people');
            $t->json('hours');
        });
        Schema::create('bay_slots', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('bay_id')->constrained('bays');
            $t->date('start');
            $t->date('end');
            $t->float('hours');
            $t->string('note')->default('');
        });
        Schema::create('shifts', function (Blueprint $t): void {
            $t->string('code')->primary();
            $t->string('from_time');
            $t->string('until_time');
        });
        Schema::table('people', function (Blueprint $t): void {
            $t->json('weekdays')->default('[1,2,3,4,5]');
        });
        Schema::create('zones', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('name');
            $t->integer('most');
            $t->unique(['type_id', 'name']);
        });
        Schema::create('panels', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->string('title');
            $t->string('zone');
            $t->float('open_hours');
            $t->float('close_hours');
            $t->unique(['type_id', 'code']);
        });
        Schema::create('past_looks', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->foreignId('visit_id')->nullable()->constrained('visits');
            $t->string('mark');
            $t->string('title');
            $t->date('ended');
            $t->float('hours');
            $t->integer('findings');
            $t->json('fix_hours');
        });
        Schema::create('parts', function (Blueprint $t): void {
            $t->id();
            $t->string('number')->unique();
            $t->string('title');
            $t->integer('stock');
            $t->string('place');
        });
        Schema::create('part_orders', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('part_id')->constrained('parts');
            $t->integer('quantity');
            $t->date('expected');
        });
        Schema::table('card_templates', function (Blueprint $t): void {
            $t->string('phase')->default('look');
            $t->string('makes')->nullable();
            $t->json('needs')->nullable();
            $t->json('positions')->default('[]');
            $t->json('states')->nullable();
            $t->json('parts')->nullable();
        });
        Schema::table('cards', function (Blueprint $t): void {
            $t->string('phase')->default('look');
            $t->string('makes')->nullable();
            $t->json('needs')->nullable();
            $t->json('positions')->default('[]');
            $t->json('panels')->default('[]');
            $t->json('states')->nullable();
            $t->json('tools')->default('[]');
            $t->string('not_before')->nullable();
            $t->boolean('first')->default(false);
            $t->string('planned_start')->nullable();
            $t->string('planned_end')->nullable();
            $t->string('latest_start')->nullable();
            $t->boolean('on_chain')->default(false);
            $t->string('begun_at')->nullable();
            $t->string('closed_at')->nullable();
            $t->float('spent')->nullable();
        });
        // Not through the builder, which would make the table anew and lose its triggers.
        DB::statement('alter table cards add column finding_id integer references findings (id)');
        Schema::create('card_waits', function (Blueprint $t): void {
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('after_id')->constrained('cards');
            $t->primary(['card_id', 'after_id']);
        });
        Schema::create('card_parts', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('part_id')->constrained('parts');
            $t->integer('quantity');
            $t->unique(['card_id', 'part_id']);
        });
        Schema::table('findings', function (Blueprint $t): void {
            $t->float('fix_hours')->nullable();
            $t->string('settled_at')->nullable();
        });
        Schema::create('visit_plans', function (Blueprint $t): void {
            $t->foreignId('visit_id')->primary()->constrained('visits');
            $t->integer('version')->default(0);
            $t->date('look_until')->nullable();
            $t->json('prior')->nullable();
            $t->json('result')->nullable();
            $t->string('made_at')->nullable();
        });
        Schema::create('visit_days', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('visit_id')->constrained('visits');
            $t->date('date');
            $t->string('exit')->nullable();
            $t->string('why');
            $t->unique(['visit_id', 'date']);
        });
        Schema::create('plan_runs', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('visit_id')->constrained('visits');
            $t->foreignId('person_id')->constrained('people');
            $t->string('state')->index();
            $t->integer('seconds');
            $t->integer('version');
            $t->integer('tried')->default(0);
            $t->integer('span')->nullable();
            $t->integer('bound')->nullable();
            $t->string('asked_at');
            $t->string('beat_at')->nullable();
            $t->string('ended_at')->nullable();
            $t->text('message')->nullable();
        });
        Schema::create('jobs', function (Blueprint $t): void {
            $t->id();
            $t->string('queue')->index();
            $t->longText('payload');
            $t->unsignedTinyInteger('attempts');
            $t->unsignedInteger('reserved_at')->nullable();
            $t->unsignedInteger('available_at');
            $t->unsignedInteger('created_at');
        });
    }
};
