<?php

declare(strict_types=1);

namespace App\Console;

use Closure;
use Illuminate\Support\Facades\Artisan;

/** A demo world of its own for a while, in a file that is gone afterwards. */
trait OwnWorld
{
    /**
     * @template T
     *
     * @param Closure(): T $do
     *
     * @return T
     */
    private function inOwnWorld(Closure $do): mixed
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-bench');
        $kept = config('database.connections.sqlite.database');
        config(['database.connections.sqlite.database' => $file]);
        app('db')->purge();
        try {
            Artisan::call('jorvel:demo', ['--fresh' => true]);

            return $do();
        } finally {
            config(['database.connections.sqlite.database' => $kept]);
            app('db')->purge();
            array_map(unlink(...), glob("{$file}*") ?: []);
        }
    }
}
