<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** A database file that cannot be read any more is put aside, never thrown away, and an empty one takes its place. */
final class PutAside
{
    /** @return string|null where the damaged one is now */
    public static function damaged(): ?string
    {
        $file = (string) config('database.connections.sqlite.database');
        try {
            if (! is_file($file) || filesize($file) === 0 || DB::select('pragma '
                .'quick_check')[0]->quick_check === 'ok') {
                return null;
            }
        } catch (QueryException) {
            // Not even its first page can be read.
        }
        DB::purge();
        $aside = "{$file}.damaged-".gmdate('Ymd-His');
        foreach (['', '-wal', '-shm'] as $part) {
            if (is_file($file.$part)) {
                rename($file.$part, $aside.$part);
            }
        }
        touch($file);

        return $aside;
    }
}
