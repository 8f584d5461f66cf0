<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The threads that showed at the ends of turnbuckles before a rigging was begun. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('rig_runs', static fn(Blueprint $t) => $t->json('threads')->nullable());
    }

    public function down(): void
    {
        Schema::table('rig_runs', static fn(Blueprint $t) => $t->dropColumn('threads'));
    }
};
