<?php

declare(strict_types=1);

namespace App\Shared;

use Closure;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * The application's clock: the machine's, or, in the demo world, one that starts at the demo's own "now" when it is
 * loaded.
 */
final class Clock
{
    private ?int $offset = null;

    private ?Instant $standing = null;

    /** @var array<string, DateTimeZone> */
    private array $zones = [];

    /** @param (Closure(): int)|null $epoch the machine's time in whole seconds; its own clock where none is given */
    public function __construct(private readonly ?Closure $epoch = null) {}

    public function now(): Instant
    {
        if ($this->standing !== null) {
            return $this->standing;
        }
        $this->offset ??= (int) (DB::table('settings')->where('name', 'clock_offset')->value('value') ?? 0);

        return Instant::fromEpoch($this->machine() + $this->offset);
    }

    public function zone(): DateTimeZone
    {
        $name = (string) config('jorvel.timezone');

        return $this->zones[$name] ??= new DateTimeZone($name);
    }

    /** The operator's local date. */
    public function today(): Day
    {
        return $this->now()->dayIn($this->zone());
    }

    /** From now on the clock reads `$now` and goes on from there. */
    public function start(Instant $now): void
    {
        $this->offset = $now->epoch() - $this->machine();
        DB::table('settings')->upsert(['name' => 'clock_offset', 'value' => (string) $this->offset], 'name');
    }

    /**
     * Does something while the clock stands still, so that it comes out the same however long it takes.
     *
     * @template T
     *
     * @param callable(): T $do
     *
     * @return T
     */
    public function still(Instant $at, callable $do): mixed
    {
        $before = $this->standing;
        $this->standing = $at;
        try {
            return $do();
        } finally {
            $this->standing = $before;
        }
    }

    /** The instant of a local time on a day; `24:00` is the day's end. */
    public function at(Day $day, string $time): Instant
    {
        return Instant::fromEpoch((new DateTimeImmutable("{$day} {$time}", $this->zone()))->getTimestamp());
    }

    /** A date as every screen says it: "Thu 14 May", with the year when it is another one. */
    public function words(Day $day): string
    {
        return Words::day($day, $this->today());
    }

    /** An instant in the operator's local time: "Fri 15 May, 23:59". */
    public function local(Instant $at): string
    {
        return $this->words($at->dayIn($this->zone())).', '.$this->time($at);
    }

    /** An instant in UTC: "Fri 15 May, 21:59 UTC". */
    public function utc(Instant $at): string
    {
        return $this->words($at->dayIn(new DateTimeZone('UTC'))).', '.gmdate('H:i', $at->epoch()).' UTC';
    }

    /** A local time of day: "14:00". */
    public function time(Instant $at): string
    {
        return (new DateTimeImmutable('@'.$at->epoch()))->setTimezone($this->zone())->format('H:i');
    }

    private function machine(): int
    {
        return $this->epoch === null ? time() : ($this->epoch)();
    }
}
