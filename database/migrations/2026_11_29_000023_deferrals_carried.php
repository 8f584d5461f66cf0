<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The list of what may be carried, by revisions: an item's row never changes, a newer one takes its place. What a
 * deferral went through: its cards, its position, its placard, its extensions, its end.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('listed_revisions', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->unsignedInteger('revision');
            $t->date('issued');
            $t->string('summary');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->string('at');
            $t->unique(['type_id', 'revision']);
            $t->index('person_id');
        });
        Schema::table('listed_items', static function (Blueprint $t): void {
            $t->dropUnique(['code']);
        });
        Schema::table('listed_items', static function (Blueprint $t): void {
            $t->json('body')->default('{}');
            $t->unsignedInteger('version')->default(1);
            $t->unsignedInteger('revision')->default(1);
            $t->string('state')->default('in_force');
            $t->unique(['type_id', 'code', 'version']);
        });
        foreach (DB::table('listed_items')->get() as $item) {
            $limits = json_decode($item->limits, true);
            DB::table('listed_items')->where('id', $item->id)->update(['body' => json_encode(array_filter([
                'code' => $item->code, 'chapter' => $item->chapter, 'system' => mb_strtolower($item->title),
                'title' => $item->title, 'category' => $item->category, 'limits' => $limits ?: null, 'installed' => 1,
                'required' => 0, 'conditions' => trim("{$item->conditions} {$item->procedure}"),
                'placard' => $item->placard,
            ], static fn(mixed $v): bool => $v !== null && $v !== ''), JSON_THROW_ON_ERROR)]);
        }
        Schema::table('listed_items', static function (Blueprint $t): void {
            $t->dropColumn('procedure');
        });
        Schema::table('deferrals', static function (Blueprint $t): void {
            $t->string('position')->nullable();
            $t->string('decided_at')->nullable();
            $t->string('begun_at')->nullable();
            $t->string('placard_at')->nullable();
            $t->string('placard_off_at')->nullable();
            $t->text('because')->nullable();
            $t->string('closed_at')->nullable();
            $t->text('closed_how')->nullable();
            $t->json('extensions')->default('[]');
            $t->float('hours')->nullable();
        });
        // The builder would make the table anew for a key, and lose the triggers by which due sheets fall.
        DB::statement('alter table deferrals add column closed_by integer references people (id)');
        DB::statement('create index deferrals_closed_by_index on deferrals (closed_by)');
        DB::table('deferrals')->where('procedure_done', true)->update([
            'begun_at' => DB::raw('discovered_at'), 'placard_at' => DB::raw('discovered_at'),
            'decided_at' => DB::raw('discovered_at'),
        ]);
        Schema::create('deferral_cards', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('deferral_id')->constrained('deferrals');
            $t->foreignId('card_id')->unique()->constrained('cards');
            $t->string('part');
            $t->index(['deferral_id', 'part']);
        });
        Schema::create('deferral_needs', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('deferral_id')->constrained('deferrals');
            $t->string('kind');
            $t->string('what');
            $t->foreignId('part_id')->nullable()->constrained('parts');
            $t->unsignedInteger('quantity')->default(1);
            $t->date('expected')->nullable();
            $t->string('there_at')->nullable();
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->index('deferral_id');
            $t->index('part_id');
            $t->index('person_id');
        });
        Schema::table('sectors', static function (Blueprint $t): void {
            $t->string('departs_at')->nullable();
            $t->string('arrives_at')->nullable();
            $t->json('conditions')->nullable();
        });
    }
};
