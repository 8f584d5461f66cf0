<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A check that is a set of cards: each zone, position and side has its own, and the item's own card closes them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('item_cards', static function (Blueprint $t): void {
            $t->foreignId('item_id')->constrained('programme_items')->cascadeOnDelete();
            $t->foreignId('template_id')->constrained('card_templates');
            $t->unsignedSmallInteger('n');
            $t->primary(['item_id', 'template_id']);
            $t->index('template_id');
        });
        Schema::table('cards', static function (Blueprint $t): void {
            $t->boolean('of_set')->default(false);
        });
    }
};
