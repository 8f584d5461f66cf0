<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Aircraft with their counters and flying; the programme, the card templates, the manuals and the listed items they
 * come from.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('fleets', function (Blueprint $t): void {
            $t->id();
            $t->string('code')->unique();
            $t->string('name');
        });
        Schema::create('aircraft_types', function (Blueprint $t): void {
            $t->id();
            $t->string('code')->unique();
            $t->string('name');
            $t->string('arrangement');
        });
        Schema::create('aircraft', function (Blueprint $t): void {
            $t->id();
            $t->string('mark')->unique();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->foreignId('fleet_id')->constrained('fleets');
            $t->string('base');
            $t->date('entry_date');
            $t->json('entry_counters');
            $t->json('counters');
            $t->date('counters_as_of');
            $t->json('rates');
        });
        Schema::create('flying_entries', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->date('date');
            $t->json('flown');
            $t->unique(['aircraft_id', 'date']);
        });
        Schema::create('manuals', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code')->unique();
            $t->string('title');
            $t->integer('revision');
        });
        Schema::create('card_templates', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->foreignId('manual_id')->constrained('manuals');
            $t->string('code')->unique();
            $t->string('title');
            $t->string('chapter');
            $t->integer('revision');
            $t->string('skill');
            $t->float('hours');
            $t->string('zone');
            $t->boolean('critical');
            $t->json('steps');
        });
        Schema::create('programme_items', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->foreignId('template_id')->constrained('card_templates');
            $t->string('code');
            $t->string('title');
            $t->string('chapter');
            $t->string('rule');
            $t->string('rebase');
            $t->json('limits');
            $t->unique(['type_id', 'code']);
        });
        Schema::create('item_statuses', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('item_id')->constrained('programme_items');
            $t->date('date');
            $t->json('counters');
            $t->json('planned')->nullable();
            $t->unique(['aircraft_id', 'item_id']);
        });
        Schema::create('listed_items', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code')->unique();
            $t->string('title');
            $t->string('chapter');
            $t->string('category');
            $t->json('limits');
            $t->text('conditions');
            $t->text('procedure')->nullable();
            $t->string('placard');
        });
        Schema::create('imports', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->string('kind');
            $t->string('name');
            $t->longText('payload');
            $t->string('base', 64);
            $t->string('state');
        });
    }
};
