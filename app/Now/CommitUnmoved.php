<?php

declare(strict_types=1);

namespace App\Now;

use App\Shared\Memo;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Illuminate\Support\Facades\DB;

/**
 * Load, ask, commit, for what rests on more than one card: an import, a visit, a packing, a plan.
 *
 * What may take long is asked before anything is held. In the transaction it is only looked whether anybody wrote
 * meanwhile; the few times that somebody did, it is loaded and asked again.
 */
final readonly class CommitUnmoved
{
    private const TRIES = 3;

    public function __construct(private Records $records, private Memo $memo) {}

    /**
     * @template T
     *
     * @param Closure(): (Closure(): T) $ask loads, asks, and answers with what is to be written
     *
     * @return T what the writing came to
     *
     * @throws Refused by what is asked, or when others write all the while
     */
    public function __invoke(Closure $ask): mixed
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $this->memo->forget();
            $seen = $this->records->latest();
            $write = $ask();
            try {
                return DB::transaction(fn(): mixed => $this->records->latest() === $seen
                    ? $write()
                    : throw new FloorMoved);
            } catch (FloorMoved) {
                // Nothing was committed, and no key either.
                continue;
            }
        }
        throw Refused::because('Others wrote all the while. Nothing was saved; send it once more.');
    }
}
