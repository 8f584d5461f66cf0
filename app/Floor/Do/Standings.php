<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Do\Work\CallClear;
use App\Floor\Model\Card;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Floor\Show\View\HoldView;
use App\Shared\Clock;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Floor\Interlock;
use Jorvel\Core\Floor\Standing;
use Jorvel\Core\Shared\Instant;

/**
 * What stands on an aircraft against its systems' being energised, moved or pressurised, and which steps that holds.
 *
 * People hold a step by name wherever they work; those on the same card are called clear by a roll-call of it before the step.
 * The other way round, nobody begins on a card whose systems a step of another card acts on at that moment.
 */
final readonly class Standings
{
    public function __construct(private SafingRegister $register, private CallClear $calls, private Clock $clock) {}

    /** @throws Refused naming everything that says no */
    public function requireFree(Person $by, Card $card, Step $step): void
    {
        $holds = $step->acts() === null ? [] : $this->holding($by, $card, [$step])[$step->no] ?? [];
        if ($holds !== []) {
            throw Refused::because("Step {$step->no} {$step->acts()} and is held: ".implode('; ', array_map(static fn(HoldView $h): string => $h->said, $holds)).'. Nothing overrides this; it is free as soon as they are gone.');
        }
    }

    /**
     * What holds each step that acts on a system.
     *
     * @param iterable<Step> $steps of the card
     *
     * @return array<int, list<HoldView>> by step number
     */
    public function holding(Person $by, Card $card, iterable $steps): array
    {
        $acting = collect($steps)->filter(static fn(Step $s): bool => $s->acts() !== null && $s->state !== Step::DONE);
        [$standing, $views, $here] = $acting->isEmpty() ? [[], [], []] : $this->standing($by, $card);
        $holds = [];
        foreach ($acting as $step) {
            $stale = $this->staleCall($card, $step);
            $called = self::callBefore($card, $step) !== null;
            $says = array_filter(Interlock::holding($step->systems(), $standing), static fn(Standing $s): bool => ! $called || ! in_array("{$s->kind}:{$s->id}", $here, true));
            $holds[$step->no] = [...$stale === null ? [] : [$stale], ...array_values(array_map(static fn(Standing $s): HoldView => $views["{$s->kind}:{$s->id}"], $says))];
        }

        return $holds;
    }

    /** @throws Refused for whoever comes to a card while its systems are acted on from another */
    public function requireQuiet(Person $by, Card $card): void
    {
        $underway = $this->underway($by, $card);
        if ($underway !== []) {
            throw Refused::because('Stay away from it now: '.implode('; ', array_map(static fn(HoldView $h): string => $h->said, $underway)).'. You begin here when that has ended. Nothing was changed.');
        }
    }

    /**
     * Holds and tests begun on other cards, with somebody at them, that act on what this card's work is on; nothing for who is at it already.
     *
     * @return list<HoldView>
     */
    public function underway(Person $by, Card $card): array
    {
        if ($card->systems === [] || $card->worked() || Presence::where(['card_id' => $card->id, 'person_id' => $by->id])->exists()) {
            return [];
        }
        $begun = Step::with('card.presences.person')->where('state', Step::OPEN)->whereNotNull('started_at')->where('card_id', '!=', $card->id)
            ->whereHas('card', static fn(Builder $q) => $q->where('aircraft_id', $card->aircraft_id)->whereHas('presences'))->orderBy('started_at')->get()->keyBy('id');
        $acting = $begun->map(static fn(Step $s): Standing => new Standing('step', (string) $s->id, $s->title, $s->card->zone, $s->systems()))->values()->all();

        return array_map(fn(Standing $s): HoldView => $this->said($begun[(int) $s->id]), Interlock::holding($card->systems, $acting));
    }

    private function said(Step $step): HoldView
    {
        $who = $step->card->presences->map(static fn(Presence $p): string => $p->person->name)->implode(' and ');

        return new HoldView('step', $step->title, "step {$step->no} of {$step->card->number}, {$step->title}, {$step->acts()} since ".$this->clock->time(Instant::parse((string) $step->started_at)).", with {$who} at it", "/floor/{$step->card_id}?step={$step->no}", "See step {$step->no} of {$step->card->number}");
    }

    /** @return array{list<Standing>, array<string, HoldView>, list<string>} what stands, how it is said, and who of it is at this same card */
    private function standing(Person $by, Card $card): array
    {
        $devices = $this->register->of($card->aircraft);
        $removers = $this->register->removers($devices);
        $standing = $views = $here = [];
        foreach ($devices as $d) {
            $kind = $d->open_line ? 'open_line' : 'device';
            $remover = $removers[$d->id] ?? null;
            $standing[] = new Standing($kind, (string) $d->id, $d->kind, $d->place, $d->against);
            $views["{$kind}:{$d->id}"] = new HoldView(
                $kind,
                $d->kind,
                "{$d->kind}, {$d->place}, fitted by {$d->fitter->name}",
                $remover === null ? "/floor/{$d->card_id}" : "/floor/{$remover->card_id}?step={$remover->no}",
                $remover === null ? "Open card {$d->card->number}" : "Take it off: step {$remover->no} of {$remover->card->number}",
            );
        }
        foreach ($this->people($card->aircraft) as $p) {
            if ($p->person_id === $by->id) {
                continue;
            }
            if ($p->card_id === $card->id) {
                $here[] = "person:{$p->id}";
            }
            $standing[] = new Standing('person', (string) $p->id, $p->person->name, $p->card->zone, $p->card->systems);
            $views["person:{$p->id}"] = new HoldView('person', $p->person->name, "{$p->person->name} works on {$p->card->number} {$p->card->title}, {$p->card->zone}, since ".$this->clock->time(Instant::parse($p->since)), "/floor/{$p->card_id}", "Call {$p->person->name} clear", $p->person_id, $p->card_id);
        }

        return [$standing, $views, $here];
    }

    /** @return Collection<int, Presence> on any card of an aircraft */
    public function people(Aircraft $aircraft): Collection
    {
        return Presence::with(['person', 'card'])->whereHas('card', static fn(Builder $q) => $q->where('aircraft_id', $aircraft->id))->orderBy('id')->get();
    }

    /** A roll-call before a step that moves something must still stand when it moves. */
    private function staleCall(Card $card, Step $step): ?HoldView
    {
        $call = self::callBefore($card, $step);
        if ($call === null || $call->state !== Step::DONE) {
            return null;
        }
        $missing = $this->calls->missing($call);

        return $missing === [] ? null : new HoldView('call', 'Roll-call', 'the roll-call of step '.$call->no.' no longer stands for '.implode(', ', $missing), "/floor/{$card->id}?step={$call->no}", "Call again: step {$call->no}");
    }

    private static function callBefore(Card $card, Step $step): ?Step
    {
        return $card->steps->last(static fn(Step $s): bool => $s->kind === 'rollcall' && $s->no < $step->no);
    }
}
