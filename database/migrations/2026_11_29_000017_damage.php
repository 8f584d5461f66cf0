<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A damage map for each aircraft: what is known, in numbers, look by look, until it is repaired. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('damages', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('number')->unique();
            $t->string('kind');
            $t->string('place');
            $t->json('spot');
            $t->json('limits');
            $t->string('source');
            $t->float('every_fh')->nullable();
            $t->integer('every_days')->nullable();
            $t->enum('state', ['open', 'blended', 'repaired', 'mistake'])->default('open');
            $t->foreignId('finding_id')->nullable()->constrained('findings');
            $t->foreignId('settled_by')->nullable()->constrained('people');
            $t->string('settled_at')->nullable();
            $t->string('settled_how')->nullable();
            $t->index(['aircraft_id', 'state']);
            $t->index('finding_id');
            $t->index('settled_by');
        });
        Schema::create('damage_looks', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('damage_id')->constrained('damages');
            $t->foreignId('card_id')->nullable()->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->string('date');
            $t->string('at');
            $t->float('fh')->nullable();
            $t->float('length');
            $t->float('depth')->nullable();
            $t->float('edge')->nullable();
            $t->float('fastener')->nullable();
            $t->string('note')->default('');
            $t->index('damage_id');
            $t->index('card_id');
            $t->index('person_id');
        });
        // What stops an aircraft is worked out anew when one of these changes.
        $concerns = [
            'damages' => 'new.aircraft_id',
            'damage_looks' => '(select aircraft_id from damages where id = new.damage_id)',
        ];
        foreach ($concerns as $table => $of) {
            foreach (['insert', 'update'] as $on) {
                DB::unprepared("create trigger due_{$table}_{$on} after {$on} on {$table} begin "
                    ."delete from due_sheets where aircraft_id in ({$of}); end");
            }
        }
    }
};
