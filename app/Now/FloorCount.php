<?php

declare(strict_types=1);

namespace App\Now;

use Illuminate\Support\Facades\DB;

/**
 * The count of what happened at an aircraft, for whatever happens there without going through a card: a finding, a
 * loan, a card planned.
 */
final class FloorCount
{
    /** Called in the transaction that writes: whoever asked before it, to work or to release, asks again. */
    public static function up(int $aircraftId): void
    {
        DB::table('aircraft')->where('id', $aircraftId)->increment('floor_count');
    }

    /** What may concern any aircraft: a recalled tool. */
    public static function upEverywhere(): void
    {
        DB::table('aircraft')->increment('floor_count');
    }
}
