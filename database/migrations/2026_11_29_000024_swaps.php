<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Proposals of who flies whose line, handed to the flying programme, with its answer. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('swaps', static function (Blueprint $t): void {
            $t->id();
            $t->date('date');
            $t->json('moves');
            $t->text('why');
            $t->boolean('accepted');
            $t->text('answer');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->index('date');
            $t->index('person_id');
        });
    }
};
