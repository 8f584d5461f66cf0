<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Powered, on jacks, hydraulics on: that is the aircraft's configuration; what a second person checks is an independent
 * inspection. States are what a card or a visit is in, and a critical card is one whose delay delays the aircraft. What
 * a preview
 * was made from is no base: that is where an aircraft lives.
 */
return new class extends Migration {
    public function up(): void
    {
        foreach (['cards', 'card_templates', 'programme_items'] as $table) {
            DB::statement("alter table {$table} rename column states to configuration");
        }
        DB::statement('alter table card_templates rename column held_until to stays_until');
        DB::statement('alter table imports rename column base to made_from');
        foreach (['cards', 'card_templates'] as $table) {
            DB::statement("alter table {$table} rename column critical to independent_inspection");
        }
    }
};
