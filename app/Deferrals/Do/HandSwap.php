<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\SwapRow;
use App\Deferrals\Show\ShowSwap;
use App\Deferrals\Show\Swaps;
use App\Fleet\Do\FlyingFeed;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector;
use App\Now\CommitUnmoved;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Shared\Day;

/** Hands a proposal to the flying programme; where it is accepted, the flights change hands. */
final readonly class HandSwap
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private Swaps $swaps,
        private FlyingFeed $programme,
    ) {}

    /**
     * @param list<array{from: string, to: string, flights: string}> $seen the moves that whoever sends it has seen
     *
     * @throws Refused where another proposal is the better one by now, or none helps
     */
    public function __invoke(Person $by, Aircraft $aircraft, Day $date, array $seen): SwapRow
    {
        return ($this->commit)(function () use ($by, $aircraft, $date, $seen): Closure {
            [$swap, $fleet, $rows] = $this->swaps->of($aircraft->type_id, $date);
            $moves = ShowSwap::moves($swap->assigned, $swap->changed, $rows);
            if ($moves === []) {
                throw Refused::because('No swap helps on that day. Nothing was sent.');
            }
            if ($moves !== $seen) {
                throw Refused::because('Something changed since you looked at this proposal. Look at it again; nothing '
                    .'was '
                    .'sent.');
            }
            $first = null;
            foreach ($swap->changed as $line) {
                $departs = $rows[$line][0][1]->departs;
                $first = $first === null || $departs->isBefore($first) ? $departs : $first;
            }
            [$accepted, $answer] = $this->programme->answer($date, $moves, $first ?? $this->clock->now());

            return function () use ($by, $date, $moves, $rows, $fleet, $accepted, $answer): SwapRow {
                if ($accepted) {
                    $this->change($moves, $rows, $fleet->map(static fn(Aircraft $a): int => $a->id)->all());
                }
                $row = SwapRow::create([
                    'date' => (string) $date, 'moves' => $moves, 'why' => '', 'accepted' => $accepted,
                    'answer' => $answer, 'person_id' => $by->id, 'at' => (string) $this->clock->now(),
                ]);
                $this->records->write($by, 'swap.'.($accepted ? 'accepted' : 'refused'), "swap:{$row->id}", [
                    'date' => $date, 'moves' => $moves, 'answer' => $answer,
                ]);

                return $row;
            };
        });
    }

    /**
     * @param list<array{from: string, to: string, flights: string}> $moves
     * @param array<string, list<array{Sector, mixed}>> $rows
     * @param array<string, int> $ids aircraft by mark
     */
    private function change(array $moves, array $rows, array $ids): void
    {
        // Two lines that change hands may have flights of one number: put aside first.
        foreach ($moves as $move) {
            foreach ($rows[$move['from']] as [$flight]) {
                Sector::whereKey($flight->id)->update(['number' => "{$flight->number}*"]);
            }
        }
        foreach ($moves as $move) {
            foreach ($rows[$move['from']] as [$flight]) {
                Sector::whereKey($flight->id)->update([
                    'aircraft_id' => $ids[$move['to']], 'number' => $flight->number,
                ]);
            }
        }
    }
}
