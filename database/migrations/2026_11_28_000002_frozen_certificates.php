<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A certificate says for ever what it said when it was signed; a visit knows when it was released. What is already
 * signed was never frozen: it stays without, and its paper says so.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('releases', function (Blueprint $t): void {
            $t->json('said')->nullable();
        });
        Schema::table('visits', function (Blueprint $t): void {
            $t->string('released_at')->nullable();
        });
        DB::statement('update visits set released_at = (select at from releases where releases.visit_id = visits.id)');
    }
};
