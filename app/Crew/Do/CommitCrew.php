<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftCrew;
use App\Crew\Model\ShiftPlace;
use App\Crew\Show\ShowShift;
use App\Floor\Model\Assignment;
use App\Now\CommitUnmoved;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Shared\Day;

/** Saves the crew of a shift: every place is judged once more, and those on a card are assigned to it. */
final readonly class CommitCrew
{
    public function __construct(private ShowShift $read, private Records $records, private CommitUnmoved $commit) {}

    /**
     * @param array<array-key, int> $places person by slot
     *
     * @throws Refused with every place that cannot stand, or when somebody else saved another crew meanwhile
     */
    public function __invoke(Person $by, string $base, Day $day, string $shift, int $version, array $places): void
    {
        ($this->commit)(function () use ($by, $base, $day, $shift, $version, $places): Closure {
            $at = ['base' => $base, 'date' => (string) $day, 'shift' => $shift];
            $crew = ShiftCrew::with('places')->where($at)->first() ?? new ShiftCrew([...$at, 'version' => 0]);
            if ($crew->version !== $version) {
                throw Refused::stale(
                    'Somebody else saved a crew for this shift while you had it open. Yours is still on the screen '
                        .'and not saved; read theirs, then save again.',
                    $crew->version,
                );
            }
            $ground = $this->read->ground($base, $day, $shift);
            $this->requireFit($ground, $places);

            return function () use ($by, $crew, $ground, $places, $at): void {
                $crew->fill(['version' => $crew->version + 1])->save();
                $this->assign($crew, $ground->bySlot(), $places, $ground);
                $this->records->write($by, 'crew.kept', "crew:{$crew->id}", [...$at, 'places' => $places]);
            };
        });
    }

    /**
     * @param array<array-key, int> $places
     *
     * @throws Refused with every place that cannot stand
     */
    private function requireFit(ShiftGround $ground, array $places): void
    {
        $slots = $ground->bySlot();
        $bad = [];
        foreach ($places as $id => $personId) {
            $slot = $slots[$id] ?? null;
            $person = $ground->people->firstWhere('id', $personId);
            $why = match (true) {
                $slot === null => 'this is no longer a place of the shift',
                $person === null => 'somebody who is not of this base',
                default => ($code = $ground->why(
                    $slot,
                    $personId,
                    array_diff_key($places, [$id => 0]),
                )) === null ? null : "{$person->name} ".$ground->said($slot, $person, $code),
            };
            if ($why !== null) {
                $bad[] = [
                    'line' => $slot === null ? (string) $id : trim("{$slot->card?->number} {$slot->title}"),
                    'message' => $why,
                ];
            }
        }
        if ($bad !== []) {
            throw Refused::lines('Not every place can stand. Nothing was saved.', $bad);
        }
    }

    /**
     * @param array<array-key, ShiftSlot> $slots
     * @param array<array-key, int> $places
     */
    private function assign(ShiftCrew $crew, array $slots, array $places, ShiftGround $ground): void
    {
        $before = $crew->places;
        $crew->places()->delete();
        $rows = [];
        foreach ($places as $id => $person) {
            $card = $slots[$id]->card;
            $rows[] = ['crew_id' => $crew->id, 'card_id' => $card?->id, 'slot' => $id, 'person_id' => $person];
            if ($card !== null) {
                $who = $ground->people->firstWhere('id', $person);
                $role = $who !== null && $who->trainee ? 'trainee' : $slots[$id]->slot->role->value;
                Assignment::firstOrCreate(
                    ['card_id' => $card->id, 'person_id' => $person, 'role' => $role],
                    ['under_id' => $role === 'trainee' ? $who->supervisor_id : null],
                );
            }
        }
        ShiftPlace::insert($rows);
        // Whom this shift no longer has on a card, and who has done nothing there, is off it, unless another shift has
        // them.
        foreach ($before as $old) {
            $card = $slots[$old->slot]->card ?? null;
            $still = ShiftPlace::where(['card_id' => $old->card_id, 'person_id' => $old->person_id])->exists();
            if ($card !== null && ! $still && ! $card->steps->contains('done_by', $old->person_id)) {
                Assignment::where(['card_id' => $card->id, 'person_id' => $old->person_id])->delete();
            }
        }
    }
}
