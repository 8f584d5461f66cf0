<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\DamageWords;
use App\Floor\Model\Card;
use App\Floor\Model\Damage;
use App\Floor\Model\DamageLook;
use App\Floor\Show\View\DamageMapView;
use App\Floor\Show\View\DamageView;
use App\Floor\Show\View\DrawingView;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Floor\DamageState;
use Jorvel\Core\Shared\Day;

/** The damage map of one aircraft. */
final readonly class ShowDamage
{
    public function __construct(private Clock $clock, private LoadFlying $flying) {}

    /** @param int|null $card from which it is looked at */
    public function of(string $mark, Person $me, ?int $card = null): DamageMapView
    {
        $aircraft = Aircraft::with(['type', ...LoadFlying::with()])->where('mark', $mark)->firstOrFail();
        $flying = $this->flying->of($aircraft);
        $damages = Damage::with('looks.person', 'finding', 'settler')->where('aircraft_id', $aircraft->id)
            ->orderByRaw("state = 'open' desc")->orderBy('id')->get();
        $views = array_values($damages->map(fn(Damage $d): DamageView => $this->one($d, $flying, $card))->all());
        $open = $damages->where('state', Damage::OPEN);
        $not = $open->filter(static fn(Damage $d): bool => $d->against() !== [])->count();
        $outline = $aircraft->type->outline;
        $next = $open->map(static fn(Damage $d): ?Day => $d->now()->lookBy($flying))->filter()
            ->sortBy(static fn(Day $d): int => $d->number)->first();

        return new DamageMapView(
            $mark,
            $aircraft->type->code,
            $open->isEmpty()
                ? "No damage is known on {$mark}."
                : Words::count($open->count(), 'damage is', 'damages are')." known on {$mark}"
                    .($not === 0 ? ', ' : "; {$not} not ").'allowed as '
                    .(($not === 0 ? $open->count() : $not) === 1 ? 'it is' : 'they are')
                    .($next === null ? '.' : '; to be looked at again by '.$this->clock->words($next).'.'),
            $outline === null ? null : new DrawingView((object) $outline, []),
            $views,
            Damage::KINDS,
            $me->can('raise', Card::class),
        );
    }

    private function one(Damage $d, Flying $flying, ?int $card): DamageView
    {
        $open = $d->state === Damage::OPEN;
        $against = $d->against();
        $by = $open ? $d->now()->lookBy($flying) : null;
        $today = $this->clock->today();
        $growth = $d->growth();
        [$state, $word] = match (DamageState::of($open, $against, $d->finding?->state, $by, $today, $growth)) {
            DamageState::Settled => ['waiting', $d->state === 'mistake' ? 'was none' : $d->state],
            DamageState::Deferred => ['watch', 'deferred'],
            DamageState::NotAllowed => ['stop', 'not allowed'],
            DamageState::Overdue => ['stop', 'look again'],
            DamageState::Grows => ['watch', 'grows'],
            DamageState::Allowed => ['clear', 'allowed'],
        };

        return new DamageView(
            $d->id,
            $d->number,
            $d->kind,
            $d->place,
            (object) $d->spot,
            $state,
            $word,
            DamageWords::size($d->looks->last()?->size()),
            $against !== [] ? DamageWords::against($against, $d) : self::allowed($d),
            $open ? DamageWords::growth($growth) : $d->settled_how,
            $by === null ? null : $this->clock->words($by),
            $d->finding?->number,
            $d->finding_id,
            $open,
            array_values($d->looks->reverse()->map(fn(DamageLook $l): string => DamageWords::size($l->size())
                .": {$l->person->name}, {$this->clock->words($l->date)}"
                .($l->fh === null ? '' : ', at '.Words::number($l->fh, 1).' h')
                .($l->note === '' ? '' : "; {$l->note}"))->all()),
            $card !== null && $d->looks->contains(static fn(DamageLook $l): bool => $l->card_id === $card),
        );
    }

    private static function allowed(Damage $d): string
    {
        $names = [
            'length' => 'at most %s mm long', 'depth' => 'at most %s mm deep', 'edge' => 'at least %s mm from an edge',
            'fastener' => 'at least %s mm from a fastener',
        ];
        $said = [];
        foreach ($names as $name => $words) {
            if (isset($d->limits[$name])) {
                $said[] = sprintf($words, Words::number($d->limits[$name], 2));
            }
        }

        return ($said === [] ? 'No limit is named' : 'Allowed '.implode(', ', $said))
            .($d->source === '' ? '' : " ({$d->source})");
    }
}
