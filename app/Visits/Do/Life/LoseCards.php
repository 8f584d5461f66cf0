<?php

declare(strict_types=1);

namespace App\Visits\Do\Life;

use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Shared\Refused;
use App\Stores\Model\CardPart;
use App\Stores\Model\Recheck;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Cards that leave a visit: of which nothing is done, so that what they were made for goes back. */
final readonly class LoseCards
{
    public function __construct(private VisitFrame $frame) {}

    /**
     * @param Collection<int, Card> $cards with `steps`
     *
     * @throws Refused for one on which something was done
     */
    public function requireUntouched(Collection $cards): void
    {
        foreach ($cards as $card) {
            if ($card->state !== Card::OPEN || $card->steps->contains(static fn(Step $s): bool => $s->settled())) {
                throw Refused::because("Card {$card->number} {$card->title} is begun or worked: it stays on the record."
                    .' Nothing was changed.');
            }
        }
    }

    /**
     * @param Collection<int, Card> $cards untouched
     *
     * @throws Refused where somebody left something at one of them
     */
    public function drop(Collection $cards): void
    {
        foreach ($cards as $card) {
            $id = $card->id;
            DB::table('card_waits')->where('card_id', $id)->orWhere('after_id', $id)->delete();
            DB::table('shift_places')->where('card_id', $id)->delete();
            CardPart::where('card_id', $id)->delete();
            Assignment::where('card_id', $id)->delete();
            DeferralCard::where('card_id', $id)->delete();
            Recheck::where('by_card_id', $id)->delete();
            try {
                $card->steps()->delete();
                $card->delete();
            } catch (QueryException) {
                throw Refused::because("Card {$card->number} {$card->title} carries something that stays: a remark, a "
                    .'stop, a tool, somebody at it. Settle that first; nothing was changed.');
            }
        }
    }

    /** What a visit made by itself and needs no longer: panels that nobody wants open, jacks that nobody wants. */
    public function tidy(Visit $visit): void
    {
        $cards = $visit->cards()->with('steps')->get();
        $work = $cards->filter(static fn(Card $c): bool => $c->isWork());
        $panels = $work->reject(static fn(Card $c): bool => $c->worked())->pluck('panels')->flatten()->flip();
        $jacks = $work->contains(static fn(Card $c): bool => ($c->configuration['jacks'] ?? null) === 'on');
        $gone = $cards->filter(static fn(Card $c): bool => match (true) {
            $c->state !== Card::OPEN || $c->steps->contains(static fn(Step $s): bool => $s->settled()) => false,
            str_starts_with((string) $c->makes, 'open:'), str_starts_with((string) $c->makes, 'close:')
                => ! isset($panels[explode(':', (string) $c->makes)[1]]),
            in_array($c->makes, ['raise', 'lower'], true) => ! $jacks,
            in_array($c->makes, ['induct', 'safe', 'last'], true) => $work->isEmpty(),
            default => false,
        })->values();
        // What was opened is closed again, whoever still wants it open.
        $opened = $cards->filter(
            static fn(Card $c): bool => $c->worked() && str_starts_with((string) $c->makes, 'open:'),
        )
            ->map(static fn(Card $c): string => 'close:'.explode(':', (string) $c->makes)[1])->flip();
        $raised = $cards->contains(static fn(Card $c): bool => $c->makes === 'raise' && $c->worked());
        $this->drop($gone->reject(static fn(Card $c): bool => isset($opened[$c->makes ?? ''])
            || $raised && $c->makes === 'lower')->values());
        $this->frame->complete($visit);
    }
}
