<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Bay;
use App\Visits\Model\BaySlot;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Free stretches of bays: opened and taken away by the controller. */
final readonly class BaySlots
{
    public function __construct(private Records $records, private LoadBay $bays) {}

    /** @throws Refused when it ends before it begins, or something stands in the bay then */
    public function add(Person $by, Bay $bay, string $start, string $end, float $hours, string $note): void
    {
        [$from, $to] = [Day::parse($start), Day::parse($end)];
        if ($bay->washes) {
            throw Refused::because("{$bay->name} is for washes, each within an hour or two. Nothing was saved.");
        }
        $this->bays->requireDays($from, $to, 'Nothing was saved.');
        DB::transaction(function () use ($by, $bay, $from, $to, $start, $end, $hours, $note): void {
            $this->bays->requireFree($bay->name, $from, $to, 'Choose other days; nothing was saved.');
            $slot = $bay->slots()->where('start', '<=', $end)->where('end', '>=', $start)->first();
            if ($slot !== null) {
                throw Refused::because(
                    "{$bay->name} already has a free slot from {$slot->start} to {$slot->end}. Remove it first; "
                        .'nothing was saved.',
                );
            }
            $bay->slots()->create(['start' => $start, 'end' => $end, 'hours' => $hours, 'note' => $note]);
            $this->records->write(
                $by,
                'slot.opened',
                "bay:{$bay->id}",
                ['bay' => $bay->name, 'start' => $start, 'end' => $end, 'hours' => $hours],
            );
        });
    }

    public function remove(Person $by, BaySlot $slot): void
    {
        DB::transaction(function () use ($by, $slot): void {
            $slot->delete();
            $this->records->write(
                $by,
                'slot.taken_away',
                "bay:{$slot->bay_id}",
                ['bay' => $slot->bay->name, 'start' => $slot->start, 'end' => $slot->end],
            );
        });
    }
}
