<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Support\Facades\DB;

/** Figures that write do so in a copy of the database that is being served. */
final class CopiedWorld
{
    /**
     * @template T
     *
     * @param callable(string): iterable<T> $do given the copy's file; it is gone afterwards
     *
     * @return iterable<T>
     */
    public static function during(callable $do): iterable
    {
        $was = (string) config('database.connections.sqlite.database');
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-copy');
        // What is written is in its file before that is copied.
        DB::statement('pragma wal_checkpoint(truncate)');
        copy($was, $file);
        try {
            self::use($file);
            yield from $do($file);
        } finally {
            self::use($was);
            array_map(unlink(...), glob("{$file}*") ?: []);
        }
    }

    private static function use(string $file): void
    {
        config(['database.connections.sqlite.database' => $file]);
        app('db')->purge();
    }
}
