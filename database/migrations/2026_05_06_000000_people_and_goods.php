<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * People kept on screen: versions, who leaves when, whose PIN is their own, the paper behind what they hold. Goods:
 * every move of a batch.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', function (Blueprint $t): void {
            $t->integer('version')->default(0);
            $t->date('leaves')->nullable();
            $t->boolean('own_pin')->default(true);
            $t->boolean('own_password')->default(true);
        });
        Schema::table('qualifications', function (Blueprint $t): void {
            $t->string('paper')->default('');
        });
        Schema::table('fitted_parts', function (Blueprint $t): void {
            $t->boolean('stands')->default(true);
        });
        Schema::table('tool_recalls', function (Blueprint $t): void {
            // From when on its readings are in doubt; empty, of a recall before this, means ever since.
            $t->string('doubt_from')->default('');
            $t->index('tool_id');
        });
        // Up to which revision of its manual a method is known to stay as it is, beside a newer one.
        DB::statement('alter table card_templates add column held_until integer');
        DB::statement('update card_templates set held_until = (select revision from manuals where manuals.id = '
            .'card_templates.manual_id) where held_at');
        Schema::table('card_templates', static fn(Blueprint $t) => $t->dropColumn('held_at'));
        Schema::create('part_moves', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('batch_id')->constrained('part_batches');
            $t->string('kind');
            $t->integer('quantity');
            $t->integer('left');
            $t->string('paper');
            $t->foreignId('person_id')->nullable()->constrained('people');
            $t->string('at');
            $t->index(['batch_id', 'id']);
        });
        foreach (['update', 'delete'] as $verb) {
            DB::statement(
                "create trigger part_moves_stand_{$verb} before {$verb} on part_moves begin select raise(abort, 'a "
                    ."move of the store stands; correct it with another'); end",
            );
        }
    }
};
