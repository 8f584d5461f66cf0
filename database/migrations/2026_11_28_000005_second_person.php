<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A PIN is begun with a second person's code, and is locked when it is guessed at. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', static function (Blueprint $t): void {
            // Who gave the password that stands; the code must come from somebody else.
            $t->foreignId('secrets_by')->nullable()->constrained('people');
            $t->string('pin_code')->nullable();
            $t->foreignId('pin_code_by')->nullable()->constrained('people');
            $t->string('pin_code_at')->nullable();
            $t->unsignedSmallInteger('pin_tries')->default(0);
            $t->string('pin_locked_until')->nullable();
        });
    }
};
