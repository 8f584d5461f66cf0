<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An authority to judge others' work waits, once entered, for a second person; and a step fits one device, not two. */
return new class extends Migration {
    public function up(): void
    {
        $twice = DB::table('safing_devices')->whereNull('removed_at')->groupBy('fitted_step_id')
            ->havingRaw('count(*) > 1')
            ->limit(5)->pluck('fitted_step_id')->all();
        if ($twice !== []) {
            throw new RuntimeException('Two devices stand on the register for one step; see which one is on, and enter '
                .'the other as removed. Steps: '.implode(', ', $twice));
        }
        DB::statement('create table waiting_authorities (
            person_id integer not null references people (id),
            value varchar not null check (value in (\'duplicate\', \'certify\')),
            valid_until varchar,
            paper varchar not null,
            entered_by integer not null references people (id),
            entered_at varchar not null,
            primary key (person_id, value)
        )');
        DB::statement('create unique index one_device_a_step on safing_devices (fitted_step_id) where removed_at '
            .'is null');
        DB::statement('create index authorities_entered_by on waiting_authorities (entered_by)');
    }
};
