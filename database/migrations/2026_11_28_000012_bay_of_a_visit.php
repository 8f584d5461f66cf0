<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A visit stands in a bay that there is, or on the line; a bay in which a visit stands is neither renamed nor removed.
 * Visits of before keep what they say.
 */
return new class extends Migration {
    public function up(): void
    {
        foreach (['insert', 'update of bay'] as $when) {
            $name = 'visits_bay_'.strtok($when, ' ');
            DB::unprepared("create trigger {$name} before {$when} on visits
                when new.bay <> 'line' and not exists (select 1 from bays where name = new.bay)
                begin select raise(abort, 'a visit in a bay that there is not'); end");
        }
        foreach (['delete', 'update of name'] as $when) {
            $name = 'bays_visits_'.strtok($when, ' ');
            DB::unprepared("create trigger {$name} before {$when} on bays
                when exists (select 1 from visits where bay = old.name)
                begin select raise(abort, 'a bay in which visits stand'); end");
        }
    }
};
