<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The last day of each deferral, written with the due sheet of its aircraft: whoever wants the first of many to run out
 * need not work all of them out. It stands as long as the sheet does.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('deferral_lasts', static function (Blueprint $t): void {
            $t->unsignedBigInteger('deferral_id')->primary();
            $t->unsignedBigInteger('aircraft_id')->index();
            $t->integer('last')->index();
        });
        DB::statement('create index deferrals_closed_at_index on deferrals (state, closed_at)');
        DB::table('due_sheets')->delete();
    }
};
