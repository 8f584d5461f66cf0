<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How long each person was at each card: on as they come to it, off as they leave it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('clockings', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards')->cascadeOnDelete();
            $t->foreignId('person_id')->constrained('people');
            $t->string('since');
            $t->string('until')->nullable();
            $t->index('card_id');
            $t->index(['person_id', 'until']);
        });
        DB::statement('insert into clockings (card_id, person_id, since) select card_id, person_id, since from presences');
        // Whoever comes to a card is on at it, and no longer at the one they come from.
        DB::unprepared('create trigger clock_come after insert on presences begin '
            .'insert into clockings (card_id, person_id, since) values (new.card_id, new.person_id, new.since); end');
        DB::unprepared('create trigger clock_move after update of card_id on presences '
            .'when old.card_id <> new.card_id begin '
            .'update clockings set until = new.since where person_id = new.person_id and until is null; '
            .'insert into clockings (card_id, person_id, since) values (new.card_id, new.person_id, new.since); end');
    }
};
