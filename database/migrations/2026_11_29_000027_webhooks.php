<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who is told of what happens, by a signed message to an address; each message with what became of it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('webhooks', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->index()->constrained('people');
            $t->string('name');
            $t->text('address');
            $t->text('secret');
            $t->text('events');
            // The last record that was looked at.
            $t->unsignedBigInteger('read');
            $t->string('made_at');
            $t->string('revoked_at')->nullable();
        });
        Schema::create('webhook_deliveries', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('webhook_id')->constrained('webhooks');
            $t->string('key');
            $t->string('event');
            $t->text('body');
            $t->string('made_at');
            $t->integer('tries')->default(0);
            // Seconds since 1970 of the application's clock; null when there is nothing more to try.
            $t->integer('next')->nullable()->index();
            $t->string('done_at')->nullable();
            $t->string('answer')->default('');
            $t->unique(['webhook_id', 'key']);
        });
        // What stands to be reminded of and was told; it goes when it stands no more.
        Schema::create('reminders', static function (Blueprint $t): void {
            $t->string('key')->primary();
            $t->string('told_at');
        });
    }
};
