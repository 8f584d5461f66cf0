<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Tokens name the class of their holder, which has moved. */
return new class extends Migration {
    public function up(): void
    {
        DB::table('personal_access_tokens')
            ->where('tokenable_type', 'App\Crew\Person')
            ->update(['tokenable_type' => 'App\Crew\Model\Person']);
    }
};
