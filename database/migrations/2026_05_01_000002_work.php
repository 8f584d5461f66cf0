<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * The work itself: visits, cards and steps, readings with their tools, safing devices, findings, deferrals, releases.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('tools', function (Blueprint $t): void {
            $t->id();
            $t->string('code')->unique();
            $t->string('title');
            $t->string('kind')->index();
            $t->string('unit');
            $t->float('resolution');
            $t->float('uncertainty');
            $t->float('low');
            $t->float('high');
            $t->date('cal_due');
            $t->string('state');
            $t->string('place');
        });
        Schema::create('visits', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('title');
            $t->string('bay');
            $t->date('start');
            $t->date('end');
            $t->string('state')->index();
        });
        Schema::create('cards', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('visit_id')->constrained('visits');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('template_id')->constrained('card_templates');
            $t->foreignId('item_id')->nullable()->constrained('programme_items');
            $t->string('number')->unique();
            $t->string('title');
            $t->integer('revision');
            $t->string('skill');
            $t->float('hours');
            $t->string('zone');
            $t->boolean('critical');
            $t->string('state')->index();
            $t->integer('version')->default(1);
            $t->foreignId('signed_by')->nullable()->constrained('people');
            $t->string('signed_at')->nullable();
            $t->foreignId('inspected_by')->nullable()->constrained('people');
            $t->string('inspected_at')->nullable();
            $t->text('handover')->nullable();
        });
        Schema::create('steps', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->integer('no');
            $t->string('kind');
            $t->string('title');
            $t->text('text');
            $t->json('spec');
            $t->string('state');
            $t->string('started_at')->nullable();
            $t->json('result')->nullable();
            $t->foreignId('done_by')->nullable()->constrained('people');
            $t->string('done_at')->nullable();
            $t->unique(['card_id', 'no']);
        });
        Schema::create('assignments', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->string('role');
            $t->unique(['card_id', 'person_id', 'role']);
        });
        Schema::create('readings', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('tool_id')->nullable()->constrained('tools');
            $t->foreignId('person_id')->constrained('people');
            $t->string('point');
            $t->string('phase');
            $t->integer('run')->default(1);
            $t->float('value');
            $t->string('unit');
            $t->string('verdict');
            $t->float('margin')->nullable();
            $t->json('reasons');
            $t->string('at');
            $t->boolean('stands')->default(true);
        });
        Schema::create('rig_runs', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->integer('no');
            $t->json('as_found');
            $t->json('solution');
            $t->json('as_left')->nullable();
            $t->unique(['step_id', 'no']);
        });
        Schema::create('findings', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('raised_by')->constrained('people');
            $t->string('number')->unique();
            $t->string('chapter');
            $t->string('place');
            $t->text('extent');
            $t->string('state');
            $t->string('raised_at');
            $t->text('fixed_how')->nullable();
        });
        Schema::create('safing_devices', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('fitted_step_id')->constrained('steps');
            $t->foreignId('fitted_by')->constrained('people');
            $t->string('kind');
            $t->string('place');
            $t->string('flag');
            $t->string('fitted_at');
            $t->foreignId('removed_by')->nullable()->constrained('people');
            $t->string('removed_at')->nullable();
            $t->foreignId('carried_by')->nullable()->constrained('findings');
        });
        Schema::create('deferrals', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('finding_id')->unique()->constrained('findings');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('listed_item_id')->constrained('listed_items');
            $t->foreignId('deferred_by')->constrained('people');
            $t->string('category');
            $t->string('discovered_at');
            $t->string('timezone');
            $t->json('limits');
            $t->json('at_discovery');
            $t->string('placard');
            $t->boolean('procedure_done');
            $t->string('state');
        });
        Schema::create('releases', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('visit_id')->unique()->constrained('visits');
            $t->foreignId('person_id')->constrained('people');
            $t->string('number')->unique();
            $t->string('at');
            $t->json('moved');
        });
    }
};
