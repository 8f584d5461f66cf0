<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Do\SafingRegister;
use App\Floor\Model\Place;
use App\Floor\Model\Presence;
use App\Floor\Model\SafingDevice;
use App\Floor\Show\View\DrawingView;
use App\Floor\Show\View\MarkView;
use App\Floor\Show\View\PresenceView;
use App\Floor\Show\View\RegisterRow;
use App\Floor\Show\View\RegistersView;
use App\Floor\Show\View\RegisterView;
use App\Now\LoadOnAircraft;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Jorvel\Core\Now\PersonAt;

/** The safing registers: what is fitted where, since when, by whom, and what takes it off. */
final readonly class ShowRegister
{
    public function __construct(
        private Clock $clock,
        private SafingRegister $register,
        private LoadOnAircraft $load,
        private ShowCard $cards,
        private ShowProofs $proofs,
    ) {}

    public function all(): RegistersView
    {
        $devices = SafingDevice::with('aircraft.type')->whereNull('removed_at')
            ->orderBy('id')
            ->get()
            ->groupBy('aircraft_id');
        $people = Presence::with('card')->get()->groupBy('card.aircraft_id');
        $rows = $devices->map(static function ($of) use ($people): RegisterRow {
            $first = $of->firstOrFail();
            $open = $of->where('open_line', true)->count();
            $there = $people->get($first->aircraft_id)?->count() ?? 0;

            return new RegisterRow(
                $first->aircraft->mark,
                $first->aircraft->type->code,
                $of->count() - $open,
                $open,
                $there,
                $of->map(static fn(SafingDevice $d): string => "{$d->kind}, {$d->place}")->implode('; '),
            );
        })->sortBy('mark')->values();
        $many = (int) $rows->sum('devices') + (int) $rows->sum('openLines');

        return new RegistersView(
            $many === 0
                ? 'Nothing is fitted to any aircraft: no lock, pin, cap, collar or notice.'
                : Words::count($many, 'thing is', 'things are').' fitted or open on '
                .Words::count($rows->count(), 'aircraft', 'aircraft').'.',
            $rows->all(),
        );
    }

    public function one(Aircraft $aircraft, Person $me): RegisterView
    {
        $fitted = $this->register->of($aircraft);
        $devices = $this->cards->devices($fitted, $this->register->removers($fitted));
        $places = Place::where('type_id', $aircraft->type_id)->get()->keyBy('name');
        $marks = $undrawn = [];
        foreach ($devices as $n => $d) {
            $place = $places->get($d->place);
            if ($place === null) {
                $undrawn[] = "{$d->kind}, {$d->place}";
            } else {
                $marks[] = new MarkView(
                    $d->id,
                    $n + 1,
                    $d->kind,
                    $d->openLine ? 'stop' : ($d->carriedBy === null ? 'watch' : 'waiting'),
                    $place->x,
                    $place->y,
                    $place->z,
                );
            }
        }
        $on = $this->load->on($aircraft->id);
        $people = $on->people;
        $open = $this->proofs->open($on);
        $many = count($devices);
        $lost = array_filter($devices, static fn($d): bool => $d->remover === null && $d->carriedBy === null);
        $apart = $open === [] ? '' : ' '.Words::count(count($open), 'thing was', 'things were')
            .' disturbed and not proven since.';
        $sentence = match (true) {
            $many === 0 => "Nothing is fitted to {$aircraft->mark}.",
            $lost !== [] => Words::count($many, 'thing is', 'things are')." fitted to {$aircraft->mark}; no step "
                .'takes off '.implode(
                    ', ',
                    array_map(static fn($d): string => lcfirst($d->kind), $lost),
                ).'.',
            default => Words::count($many, 'thing is', 'things are')." fitted to {$aircraft->mark}; each has a step "
                .'that takes it off.',
        }.$apart;

        return new RegisterView(
            $aircraft->mark,
            $aircraft->type->code,
            $sentence,
            $devices,
            array_map(
                fn(PersonAt $p): PresenceView => new PresenceView(
                    (int) $p->id,
                    "{$p->name}, {$p->card->title}",
                    $this->clock->time($p->since),
                    (int) $p->id === $me->id,
                ),
                $people,
            ),
            $aircraft->type->outline === null ? null : new DrawingView((object) $aircraft->type->outline, $marks),
            $undrawn,
            $this->clock->local($this->clock->now()),
            $open,
            $this->proofs->offers($aircraft, $on),
            $open === [] || ! $me->can('plan', Visit::class)
                ? null
                : Visit::where('aircraft_id', $aircraft->id)->whereNot('state', Visit::RELEASED)
                    ->orderBy('state')->orderBy('start')->value('id'),
        );
    }
}
