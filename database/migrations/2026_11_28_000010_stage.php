<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A part of a visit is its stage; a phase is a check of a phased programme, and nothing else: a reading is of a kind.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('alter table cards rename column phase to stage');
        DB::statement('alter table card_templates rename column phase to stage');
        DB::statement('alter table readings rename column phase to kind');
    }
};
