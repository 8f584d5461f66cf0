<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\CardHand;
use App\Floor\Model\LineValidity;
use App\Release\Show\View\BlockerView;
use App\Release\Show\View\LineSignView;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Fleet\Validity;
use Jorvel\Core\Release\LineSigner;

/** What stands in the way of signing a check on the line: its own cards, and all that is true of the whole aircraft. */
final readonly class ShowLineSign
{
    public function __construct(private Clock $clock, private Readiness $readiness) {}

    public function one(int $id, Person $me): LineSignView
    {
        $visit = $this->check($id);
        $card = self::card($visit);
        $signed = LineValidity::with('person')->firstWhere('visit_id', $id);
        $until = $signed?->validity() ?? $this->until($card);

        return new LineSignView(
            $visit->id,
            $visit->title,
            $visit->aircraft->mark,
            $this->statement($visit),
            $this->good($visit, $until),
            $visit->state === Visit::RELEASED ? [] : $this->blockers($visit, $me),
            $signed === null
                ? null
                : "{$signed->person->name} ({$signed->person->stamp}), ".$this->clock->local($signed->at),
            $visit->state === Visit::RELEASED && $signed === null,
        );
    }

    private function good(Visit $visit, Validity $until): string
    {
        return $visit->flight === null
            ? 'until the end of '.$this->clock->words($until->until)
            : "for flight {$visit->flight} of ".$this->clock->words($until->until);
    }

    /** A check with all that is asked of it. */
    public function check(int $id): Visit
    {
        return $this->readiness->query()->withoutGlobalScope('visits')->where('visits.kind', Visit::CHECK)
            ->findOrFail($id);
    }

    /** The card that is the check; the others fix what was found at it. */
    public static function card(Visit $visit): Card
    {
        return $visit->cards->first(static fn(Card $c): bool => $c->item_id !== null)
            ?? throw new ModelNotFoundException("The check {$visit->id} has no card.");
    }

    public function until(Card $card): Validity
    {
        return Validity::from($this->clock->today(), $card->item->validity ?? 0);
    }

    /** @return list<BlockerView> */
    public function blockers(Visit $visit, Person $me): array
    {
        $card = self::card($visit);
        $hand = $card->hands->contains(static fn(CardHand $h): bool => $h->person_id === $me->id);

        $as = LineSigner::needs($hand, $visit->cards->whereNotNull('finding_id')->isNotEmpty());

        return $this->readiness->blockers($visit, $me, $as, $as === Role::Perform ? $card->skill : null);
    }

    /** @param Validity|null $signed of one that is signed */
    public function statement(Visit $visit, ?Validity $signed = null): string
    {
        $card = self::card($visit);

        return "{$visit->aircraft->mark}: {$visit->title} is done to {$card->template->manual->code} revision "
            ."{$card->revision}; what was found is put right or carried. It is good "
            .$this->good($visit, $signed ?? $this->until($card)).'.';
    }
}
