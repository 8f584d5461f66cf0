<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The whole fleet: components with counters of their own, harsh use by base and role, the flying plan, corrections to
 * flying, gauge readings, calendar links; and due sheets, kept results that the database itself drops as soon as
 * anything they rest on changes.
 */
return new class extends Migration {
    /** What a sheet rests on: table, the aircraft a row of it concerns, and which updates count. */
    private const RESTS_ON = [
        ['aircraft', 'select {row}.id', ''],
        [
            'item_statuses',
            'select {row}.aircraft_id union select aircraft_id from tenures where component_id = {row}.component_id '
                .'and to_date is null',
            '',
        ],
        ['tenures', 'select {row}.aircraft_id', ''],
        ['components', 'select aircraft_id from tenures where component_id = {row}.id and to_date is null', ''],
        [
            'pressure_readings',
            'select aircraft_id from tenures where component_id = {row}.component_id and to_date is null', '',
        ],
        ['sectors', 'select {row}.aircraft_id', ''],
        ['visits', 'select {row}.aircraft_id', ''],
        ['cards', 'select {row}.aircraft_id', 'of visit_id, aircraft_id, item_id, component_id'],
        ['deferrals', 'select {row}.aircraft_id', ''],
        ['listed_items', 'select aircraft_id from deferrals where listed_item_id = {row}.id', ''],
        ['programme_items', 'select id from aircraft where type_id = {row}.type_id', ''],
        ['bases', 'select id from aircraft where base = {row}.name', ''],
    ];

    public function up(): void
    {
        Schema::create('bases', function (Blueprint $t): void {
            $t->string('name')->primary();
            $t->json('conditions');
        });
        Schema::table('fleets', function (Blueprint $t): void {
            $t->float('task')->nullable();
        });
        Schema::table('aircraft_types', function (Blueprint $t): void {
            $t->json('phase')->nullable();
        });
        Schema::table('aircraft', function (Blueprint $t): void {
            $t->json('conditions')->default('[]');
            $t->json('week')->nullable();
        });
        Schema::table('programme_items', function (Blueprint $t): void {
            $t->string('component')->nullable();
            $t->boolean('phase')->default(false);
            $t->boolean('withdrawn')->default(false);
            $t->json('includes')->default('[]');
            $t->json('harsh')->nullable();
            $t->float('hours')->nullable();
            $t->json('access')->default('[]');
            $t->json('states')->nullable();
        });
        Schema::create('components', function (Blueprint $t): void {
            $t->id();
            $t->string('kind')->index();
            $t->string('title');
            $t->string('part_no');
            $t->string('serial');
            $t->date('entry_date');
            $t->json('counters');
            $t->json('accrues');
            $t->json('gauge')->nullable();
            $t->string('place')->nullable();
            $t->unique(['part_no', 'serial']);
        });
        Schema::create('tenures', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('component_id')->constrained('components');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('position');
            $t->date('from_date');
            $t->date('from_counted');
            $t->json('own');
            $t->json('aircraft');
            $t->date('to_date')->nullable();
            $t->date('to_counted')->nullable();
            $t->json('own_end')->nullable();
            $t->json('aircraft_end')->nullable();
            $t->string('reason')->nullable();
            $t->index(['aircraft_id', 'to_date']);
        });
        DB::statement('create unique index one_place_at_a_time on tenures (component_id) where to_date is null');
        DB::statement('create unique index one_in_a_position on tenures (aircraft_id, position) where to_date is null');
        Schema::table('item_statuses', function (Blueprint $t): void {
            $t->dropUnique(['aircraft_id', 'item_id']);
            $t->foreignId('aircraft_id')->nullable()->change();
            $t->foreignId('component_id')->nullable()->constrained('components');
            $t->date('counted_to')->nullable();
        });
        DB::statement('update item_statuses set counted_to = date');
        DB::statement('create unique index one_status_of_an_aircraft on item_statuses (aircraft_id, item_id) where '
            .'component_id is null');
        DB::statement('create unique index one_status_of_a_component on item_statuses (component_id, item_id) where '
            .'component_id is not null');
        Schema::create('item_doings', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('item_id')->constrained('programme_items');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('component_id')->nullable()->constrained('components');
            $t->foreignId('visit_id')->nullable()->constrained('visits');
            $t->date('date');
            $t->json('counters');
            $t->index(['aircraft_id', 'date']);
        });
        Schema::table('flying_entries', function (Blueprint $t): void {
            $t->dropUnique(['aircraft_id', 'date']);
            $t->boolean('current')->default(true);
            $t->foreignId('corrects_id')->nullable()->constrained('flying_entries');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->string('source')->default('file');
            $t->string('reason')->nullable();
            $t->string('at')->nullable();
        });
        DB::statement('create unique index one_count_a_day on flying_entries (aircraft_id, date) where current = 1');
        Schema::create('sectors', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->date('date');
            $t->string('number');
            $t->string('from_place');
            $t->string('to_place');
            $t->json('use');
            $t->unique(['aircraft_id', 'date', 'number']);
        });
        Schema::table('cards', function (Blueprint $t): void {
            $t->foreignId('component_id')->nullable()->constrained('components');
        });
        Schema::table('deferrals', function (Blueprint $t): void {
            $t->date('counted_to')->nullable();
        });
        Schema::create('pressure_readings', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('component_id')->constrained('components');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->date('date');
            $t->float('pressure');
            $t->float('temp_c');
            $t->boolean('replaced')->default(false);
            $t->boolean('current')->default(true);
            $t->foreignId('corrects_id')->nullable()->constrained('pressure_readings');
            $t->string('reason')->nullable();
            $t->string('at');
            $t->index(['component_id', 'date']);
        });
        Schema::create('calendar_links', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->string('name');
            $t->string('token', 64)->unique();
            $t->string('made_at');
            $t->string('read_at')->nullable();
            $t->string('revoked_at')->nullable();
        });
        Schema::create('due_sheets', function (Blueprint $t): void {
            $t->unsignedBigInteger('aircraft_id')->primary();
            $t->date('day');
            $t->text('head');
            $t->text('rows');
        });
        foreach (self::RESTS_ON as [$table, $concerns, $of]) {
            foreach (['insert' => ['new'], 'delete' => ['old'], 'update' => ['old', 'new']] as $event => $rows) {
                $drops = array_map(
                    static fn(string $row): string
                        => 'delete from due_sheets where aircraft_id in ('.strtr($concerns, ['{row}' => $row]).');',
                    $rows,
                );
                DB::statement(
                    "create trigger {$table}_{$event}_drops_sheets after {$event} ".($event === 'update' ? $of : '')
                        ." on {$table} begin ".implode(' ', $drops).' end',
                );
            }
        }
    }
};
