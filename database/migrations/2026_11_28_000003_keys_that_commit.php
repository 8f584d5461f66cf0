<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A key now stands from the commit of what it was sent for; those that were left without an answer by a crash are
 * freed.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::table('answers')->whereNull('status')->delete();
        Schema::table('answers', function (Blueprint $t): void {
            $t->string('at')->default('');
            $t->index('at');
        });
    }
};
