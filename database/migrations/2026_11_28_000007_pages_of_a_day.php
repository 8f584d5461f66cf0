<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A day of flying may have several pages; and what was done says by whom and on which card. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('drop index one_count_a_day');
        DB::statement('create index counted_that_day on flying_entries (aircraft_id, date) where current = 1');
        DB::statement('alter table item_doings add column card_id integer references cards (id)');
        DB::statement('alter table item_doings add column done_by varchar');
        DB::statement('create index done_on_card on item_doings (card_id)');
        // Cards have had handovers of their own for long.
        DB::statement('alter table cards drop column handover');
        // What a visit's own card did, of the visits that were released before.
        DB::statement('update item_doings set card_id = (select min(cards.id) from cards where cards.visit_id = '
            .'item_doings.visit_id and cards.item_id = item_doings.item_id and cards.component_id is '
            .'item_doings.component_id) where visit_id is not null');
        DB::statement("update item_doings set done_by = (select people.name || ' (' || people.stamp || ')' from "
            .'cards join people on people.id = cards.signed_by where cards.id = item_doings.card_id) where card_id '
            .'is not null');
    }
};
