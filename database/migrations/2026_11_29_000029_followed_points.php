<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Points whose trend stands in the due list. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('followed_points', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('template_id')->constrained('card_templates');
            $t->string('title');
            $t->string('point');
            $t->foreignId('person_id')->constrained('people');
            $t->string('at');
            $t->string('why', 500);
            $t->foreignId('ended_by')->nullable()->constrained('people');
            $t->string('ended_at')->nullable();
            $t->string('ended_why', 500)->nullable();
            $t->index('template_id');
            $t->index('person_id');
            $t->index('ended_by');
        });
        DB::statement('create unique index one_following_of_a_point on followed_points '
            .'(aircraft_id, template_id, title, point) where ended_at is null');
    }

    public function down(): void
    {
        Schema::drop('followed_points');
    }
};
