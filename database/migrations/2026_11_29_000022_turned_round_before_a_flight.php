<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A turnaround is before a flight, and good for that flight. */
return new class extends Migration {
    public function up(): void
    {
        foreach (['visits', 'validities'] as $table) {
            Schema::table($table, static function (Blueprint $t): void {
                $t->string('flight')->nullable();
            });
        }
    }
};
