<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Up to which revision of its manual the passage that a card was written from is known to be the same. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('card_templates', static function (Blueprint $t): void {
            $t->integer('unchanged_until')->nullable();
        });
    }
};
