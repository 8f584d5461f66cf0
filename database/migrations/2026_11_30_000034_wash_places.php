<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Washes, and the places where they are worked between two flights; a season that moves kept visits, too, or is of one
 * aircraft.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('alter table programme_items add column wash boolean not null default 0');
        DB::statement('alter table bays add column washes boolean not null default 0');
        DB::statement('alter table season_runs add column anew boolean not null default 0');
        DB::statement('alter table season_runs add column mark text');
        DB::statement('alter table visits add column "between" boolean not null default 0');
    }
};
