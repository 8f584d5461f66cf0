<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A due sheet says of each visit whether it has begun; those that do not say it are made anew. */
return new class extends Migration {
    public function up(): void
    {
        DB::table('due_sheets')->delete();
    }

    public function down(): void
    {
        DB::table('due_sheets')->delete();
    }
};
