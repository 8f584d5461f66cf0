<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What crews report: sorted into a chapter, joined with what was done there, and ended by name. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('reports', static function (Blueprint $t): void {
            $t->id();
            $t->string('number')->unique();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('flight')->default('');
            $t->string('happened_at');
            $t->string('crew');
            $t->text('text');
            $t->string('chapter')->nullable();
            $t->boolean('chapter_said')->default(false);
            $t->string('source');
            $t->string('state');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->foreignId('finding_id')->nullable()->constrained('findings');
            $t->foreignId('proof_id')->nullable()->constrained('cards');
            $t->foreignId('repeat_of')->nullable()->constrained('reports');
            $t->text('answer')->default('');
            $t->foreignId('ended_by')->nullable()->constrained('people');
            $t->string('ended_at')->nullable();
            $t->index(['aircraft_id', 'state']);
            $t->index('state');
            foreach (['person_id', 'finding_id', 'proof_id', 'repeat_of', 'ended_by'] as $key) {
                $t->index($key);
            }
        });
    }
};
