<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A season planned as one: places of bays and outside, days on which a bay is closed, long searches for a season. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('alter table bays add column places integer not null default 1');
        DB::statement('alter table bases add column outside integer not null default 0');
        Schema::create('bay_closures', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('bay_id')->index()->constrained('bays');
            $t->date('start');
            $t->date('end');
            $t->string('why');
            $t->foreignId('person_id')->index()->constrained('people');
        });
        Schema::create('season_runs', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->index()->constrained('people');
            $t->string('state')->index();
            $t->integer('days');
            $t->integer('seconds');
            $t->integer('seed');
            $t->json('asked');
            $t->json('result')->nullable();
            $t->float('share')->default(0);
            $t->string('asked_at');
            $t->string('beat_at')->nullable();
            $t->string('ended_at')->nullable();
            $t->text('message')->nullable();
        });
    }
};
