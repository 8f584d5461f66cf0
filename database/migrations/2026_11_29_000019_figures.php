<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drawings of one's own for the steps of cards; every version is kept, and a card keeps the one it was made with. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('figures', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('type_id')->constrained('aircraft_types');
            $t->string('code');
            $t->integer('version');
            $t->string('title');
            $t->enum('mime', ['image/svg+xml', 'image/png']);
            $t->integer('width');
            $t->integer('height');
            $t->text('data');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->unique(['type_id', 'code', 'version']);
            $t->index('person_id');
        });
    }
};
