<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** When an exit was forecast; of those that there are, that is taken to be the end of their day. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement("alter table visit_days add column made_at text not null default ''");
        DB::update("update visit_days set made_at = substr(date, 1, 10) || 'T21:59:59Z'");
    }
};
