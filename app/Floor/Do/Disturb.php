<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\DisturbanceRow;
use App\Floor\Model\Step;
use App\Now\CardFile;
use App\Now\LoadOnAircraft;
use App\Shared\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Now\Disturbance;

/** Writes what a step disturbs, joins and proves; call it in the transaction that writes the step. */
final readonly class Disturb
{
    public function __construct(private Clock $clock, private LoadOnAircraft $load) {}

    /** A step was done: first it disturbs, then it joins, then it proves. */
    public function done(Person $by, CardFile $file, Step $step): void
    {
        $handling = Handling::of($step->spec);
        if ($handling === null) {
            return;
        }
        foreach ($handling->disturbs as $d) {
            $this->write($by, $file->card, $step->id, $d['what'], [
                'act' => DisturbanceAct::Disturbed->value,
                'how' => $d['how']->value,
                'needs' => array_column($d['needs'], 'value'),
                'component_id' => $d['component'] ? $file->card->component_id : null,
            ]);
        }
        foreach ($handling->joins as $what) {
            $this->write($by, $file->card, $step->id, $what, ['act' => DisturbanceAct::Joined->value]);
        }
        foreach ($handling->proves as $p) {
            $this->prove($by, $file->card, $step->id, $p['by'], $p['of']);
        }
        $this->settle($file->card->aircraft_id, [...$handling->touches(), ...$handling->proven()]);
    }

    /**
     * Screws and rods of a rigging sheet were turned, and its points read again.
     *
     * @param array<string, list<Proof>> $turned what each asks for, by its name; those of this run
     * @param list<string> $all those of every run of the sheet
     * @param bool $within every point was within its limits
     */
    public function turned(Person $by, Card $card, Step $step, array $turned, array $all, bool $within): void
    {
        foreach ($turned as $what => $needs) {
            $this->write($by, $card, $step->id, $what, [
                'act' => DisturbanceAct::Disturbed->value,
                'how' => DisturbedHow::Turned->value,
                'needs' => array_column($needs, 'value'),
                'component_id' => $card->component_id,
            ]);
            $this->write($by, $card, $step->id, $what, ['act' => DisturbanceAct::Joined->value]);
        }
        if ($within) {
            $this->prove($by, $card, $step->id, Proof::Reading, $all);
        }
        if ($all !== []) {
            $this->settle($card->aircraft_id, $all);
        }
    }

    /** A whole card was inspected by somebody else: the independent inspection of everything that it touched. */
    public function inspected(Person $by, Card $card): void
    {
        $touched = [];
        foreach ($card->steps as $step) {
            $touched = [...$touched, ...Handling::of($step->spec)?->touches() ?? []];
        }
        $touched = array_values(array_unique($touched));
        $this->prove($by, $card, null, Proof::IndependentInspection, $touched);
        $this->settle($card->aircraft_id, $touched);
    }

    /**
     * A step that was joined or proven is worked once more: what was proven of it is asked for anew.
     *
     * @param list<Proof> $asked what the card itself proves of it, besides what was asked for the last time
     */
    public function redone(Person $by, CardFile $file, Step $step, string $what, array $asked): void
    {
        $last = DisturbanceRow::where(['aircraft_id' => $file->card->aircraft_id, 'what' => $what])
            ->where('act', DisturbanceAct::Disturbed->value)->orderByDesc('id')->first();
        $this->write($by, $file->card, $step->id, $what, [
            'act' => DisturbanceAct::Disturbed->value,
            'how' => DisturbedHow::Redone->value,
            'needs' => array_values(array_unique([...$last->needs ?? [], ...array_column($asked, 'value')])),
            'component_id' => $last?->component_id,
        ]);
        $this->settle($file->card->aircraft_id, [$what]);
    }

    /**
     * What some steps said no longer stands.
     *
     * @param list<int> $stepIds
     */
    public function void(int $aircraftId, array $stepIds): void
    {
        $rows = DisturbanceRow::whereIn('step_id', $stepIds)->where('stands', true);
        $what = (clone $rows)->distinct()->pluck('what')->all();
        if ($what === []) {
            return;
        }
        $rows->update(['stands' => false]);
        DisturbanceRow::whereIn('what', $what)->where(static fn($q) => $q->where('aircraft_id', $aircraftId)
            ->orWhereIn('component_id', self::fitted($aircraftId)))->update(['settled' => false]);
        $this->settle($aircraftId, $what);
    }

    /** @param list<string> $of */
    private function prove(Person $by, Card $card, ?int $stepId, Proof $proof, array $of): void
    {
        foreach ($of as $what) {
            $this->write($by, $card, $stepId, $what, [
                'act' => DisturbanceAct::Proven->value,
                'proof' => $proof->value,
            ]);
        }
    }

    /** @param array<string, mixed> $of */
    private function write(Person $by, Card $card, ?int $stepId, string $what, array $of): void
    {
        DisturbanceRow::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'step_id' => $stepId, 'what' => $what,
            'person_id' => $by->id, 'at' => (string) $this->clock->now(),
            'component_id' => $this->componentOf($card->aircraft_id, $what),
            ...$of,
        ]);
    }

    /** The component that something which is not whole is of, wherever it was fitted when it was disturbed. */
    private function componentOf(int $aircraftId, string $what): ?int
    {
        return DisturbanceRow::where(['what' => $what, 'settled' => false, 'stands' => true])
            ->whereIn('component_id', self::fitted($aircraftId))->value('component_id');
    }

    /** Components that are fitted to an aircraft now. */
    private static function fitted(int $aircraftId): Builder
    {
        return DB::table('tenures')->whereNull('to_date')->where('aircraft_id', $aircraftId)->select('component_id');
    }

    /**
     * What is whole again is marked so, and need not be read any more.
     *
     * @param list<string> $what
     */
    private function settle(int $aircraftId, array $what): void
    {
        $on = $this->load->on($aircraftId);
        $whole = array_diff($what, array_column($on->notWhole(), 'what'));
        $ids = array_map(static fn(Disturbance $d): int => $d->id, array_filter(
            $on->disturbances,
            static fn(Disturbance $d): bool => in_array($d->what, $whole, true),
        ));
        DisturbanceRow::whereIn('id', $ids)->update(['settled' => true]);
    }
}
