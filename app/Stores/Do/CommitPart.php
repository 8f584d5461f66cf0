<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\Part;
use App\Stores\Model\PartOrder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Part numbers, and what is ordered of them. */
final readonly class CommitPart
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param array<string, mixed> $as `title`, `place`, `one_time`, `effectivity`, and of a product `specification`,
     *   `unit`, `never`
     *
     * @throws Refused for a number that is there, or an effectivity that no aircraft has
     */
    public function enter(Person $by, string $number, array $as): Part
    {
        if (Part::where('number', $number)->exists()) {
            throw Refused::because("{$number} is in the store already. Nothing was entered.");
        }
        $this->requireEffective($as['effectivity']);

        return DB::transaction(function () use ($by, $number, $as): Part {
            $part = Part::create(['number' => $number, ...$as]);
            $this->records->write($by, 'part.entered', "part:{$part->id}", ['number' => $number, ...$as]);

            return $part;
        });
    }

    /**
     * @param array<string, mixed> $as `title`, `place`, `one_time`, `effectivity`, and of a product `specification`,
     *   `unit`, `never`
     *
     * @throws Refused for an effectivity that no aircraft has
     */
    public function change(Person $by, Part $part, array $as): void
    {
        $this->requireEffective($as['effectivity']);
        DB::transaction(function () use ($by, $part, $as): void {
            $was = $part->only(array_keys($as));
            $part->update($as);
            $this->records->write($by, 'part.changed', "part:{$part->id}", ['from' => $was, 'to' => $as]);
        });
    }

    /** @throws Refused for a day gone by */
    public function order(Person $by, Part $part, int $quantity, Day $expected): void
    {
        if ($expected->number < $this->clock->today()->number) {
            throw Refused::because("{$expected} is past. Enter the day on which it is expected; nothing was entered.");
        }
        DB::transaction(function () use ($by, $part, $quantity, $expected): void {
            $part->orders()->create(['quantity' => $quantity, 'expected' => (string) $expected]);
            $this->records->write(
                $by,
                'part.ordered',
                "part:{$part->id}",
                ['quantity' => $quantity, 'expected' => (string) $expected],
            );
        });
    }

    public function cancel(Person $by, PartOrder $order): void
    {
        DB::transaction(function () use ($by, $order): void {
            $order->delete();
            $this->records->write(
                $by,
                'part.order_cancelled',
                "part:{$order->part_id}",
                ['quantity' => $order->quantity, 'expected' => $order->expected],
            );
        });
    }

    /** @param list<string>|null $codes */
    private function requireEffective(?array $codes): void
    {
        $unknown = array_diff($codes ?? [], Aircraft::distinct()->pluck('effectivity')->all());
        if ($unknown !== []) {
            throw Refused::because('No aircraft has the effectivity '.implode(', ', $unknown).'. Nothing was saved.');
        }
    }
}
