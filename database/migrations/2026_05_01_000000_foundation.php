<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What every room stands on: people and their sessions, the record chain, settings, and answers kept for repeated
 * requests.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('people', function (Blueprint $t): void {
            $t->id();
            $t->string('login')->unique();
            $t->string('name');
            $t->string('stamp')->unique();
            $t->string('role');
            $t->string('base');
            $t->string('shift');
            $t->string('password');
            $t->string('pin');
            $t->unsignedBigInteger('supervisor_id')->nullable();
            $t->rememberToken();
        });
        Schema::create('qualifications', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->string('kind');
            $t->string('value');
            $t->date('valid_until')->nullable();
            $t->unique(['person_id', 'kind', 'value']);
        });
        Schema::create('sessions', function (Blueprint $t): void {
            $t->string('id')->primary();
            $t->foreignId('user_id')->nullable()->index();
            $t->string('ip_address', 45)->nullable();
            $t->text('user_agent')->nullable();
            $t->longText('payload');
            $t->integer('last_activity')->index();
        });
        Schema::create('personal_access_tokens', function (Blueprint $t): void {
            $t->id();
            $t->morphs('tokenable');
            $t->text('name');
            $t->string('token', 64)->unique();
            $t->text('abilities')->nullable();
            $t->timestamp('last_used_at')->nullable();
            $t->timestamp('expires_at')->nullable();
            $t->timestamps();
        });
        Schema::create('cache', function (Blueprint $t): void {
            $t->string('key')->primary();
            $t->mediumText('value');
            $t->integer('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $t): void {
            $t->string('key')->primary();
            $t->string('owner');
            $t->integer('expiration')->index();
        });
        Schema::create('settings', function (Blueprint $t): void {
            $t->string('name')->primary();
            $t->text('value');
        });
        Schema::create('records', function (Blueprint $t): void {
            $t->id();
            $t->string('at');
            $t->string('who');
            $t->string('what');
            $t->string('subject')->index();
            $t->text('data');
            $t->string('previous', 64);
            $t->string('hash', 64)->unique();
        });
        foreach (['update', 'delete'] as $verb) {
            DB::statement(
                "create trigger records_no_{$verb} before {$verb} on records begin select raise(abort, 'records are "
                    ."append-only'); end",
            );
        }
        Schema::create('answers', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->string('key');
            $t->string('request', 64);
            $t->integer('status')->nullable();
            $t->longText('body')->nullable();
            $t->unique(['person_id', 'key']);
        });
    }
};
