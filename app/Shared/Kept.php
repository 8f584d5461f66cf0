<?php

declare(strict_types=1);

namespace App\Shared;

use App\Shared\Http\Intention;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What is dear to work out, kept by everything that it was worked out of: as soon as any of that is otherwise, it is
 * another key and is worked out anew. Nothing has to be told that something changed.
 */
final readonly class Kept
{
    /** Seconds after which even what nothing has changed is worked out again. */
    private const SECONDS = 86_400;

    public function __construct(private Intention $intention) {}

    /**
     * @template T of object
     *
     * @param string $what is kept, also to tell versions of it apart
     * @param mixed $of all that it depends on, as JSON can say it
     * @param callable(): T $make
     *
     * @return T
     */
    public function of(string $what, mixed $of, callable $make): object
    {
        $key = $what.':'.hash('sha256', json_encode($of, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
        $kept = Cache::get($key);
        if (is_object($kept)) {
            return $kept;
        }
        $made = $make();
        try {
            $this->intention->aside(static function () use ($key, $made): void {
                DB::table('cache')->where('expiration', '<', time())->delete();
                Cache::put($key, $made, self::SECONDS);
            });
        } catch (QueryException) {
            // Somebody writes just now; the next one keeps it.
        }

        return $made;
    }
}
