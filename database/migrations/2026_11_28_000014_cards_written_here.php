<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Card templates are written here: a draft, checked by a second person, in force by name; every version stays. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('card_templates', static function (Blueprint $t): void {
            $t->integer('version')->default(1);
            $t->json('panels')->nullable();
            $t->json('ground')->nullable();
            $t->json('after')->nullable();
        });
        Schema::table('cards', static function (Blueprint $t): void {
            $t->integer('template_version')->default(1);
            $t->json('ground')->nullable();
        });
        Schema::create('card_versions', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->integer('no');
            $t->enum('state', ['draft', 'checked', 'in_force', 'replaced', 'discarded']);
            $t->json('body');
            $t->string('note')->default('');
            $t->integer('version')->default(1);
            $t->json('writers');
            $t->string('written_at');
            $t->foreignId('checked_by')->nullable()->constrained('people');
            $t->string('checked_at')->nullable();
            $t->foreignId('forced_by')->nullable()->constrained('people');
            $t->string('forced_at')->nullable();
            $t->unique(['type_id', 'code', 'no']);
            $t->index('checked_by');
            $t->index('forced_by');
        });
        // What was in force once is what cards were worked from.
        DB::unprepared("create trigger card_versions_stand before update of body, no, code on card_versions
            when old.state in ('in_force', 'replaced')
            begin select raise(abort, 'a version that was in force stands as it is'); end");
        DB::unprepared("create trigger card_versions_stay before delete on card_versions
            when old.state in ('in_force', 'replaced')
            begin select raise(abort, 'a version that was in force stays'); end");
    }
};
