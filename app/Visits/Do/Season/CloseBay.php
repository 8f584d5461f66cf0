<?php

declare(strict_types=1);

namespace App\Visits\Do\Season;

use App\Crew\Model\Person;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Bay;
use App\Visits\Model\BayClosure;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Closes a bay for some days, and opens it again. What is planned in it stays planned, and is said not to hold. */
final readonly class CloseBay
{
    public function __construct(private Records $records, private LoadBay $bays) {}

    /** @throws Refused when it ends before it begins, or is over */
    public function close(Person $by, Bay $bay, Day $start, Day $end, string $why): void
    {
        $this->bays->requireDays($start, $end, 'Nothing was saved.');
        DB::transaction(function () use ($by, $bay, $start, $end, $why): void {
            $days = ['start' => (string) $start, 'end' => (string) $end, 'why' => $why];
            $bay->closures()->create([...$days, 'person_id' => $by->id]);
            $this->records->write($by, 'bay.closed', "bay:{$bay->id}", ['bay' => $bay->name, ...$days]);
        });
    }

    public function open(Person $by, BayClosure $closure): void
    {
        DB::transaction(function () use ($by, $closure): void {
            $closure->delete();
            $this->records->write($by, 'bay.opened', "bay:{$closure->bay_id}", [
                'bay' => $closure->bay->name, 'start' => (string) $closure->start, 'end' => (string) $closure->end,
            ]);
        });
    }
}
