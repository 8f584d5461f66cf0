<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;

/** A deferral whose make-safe card nobody has begun is taken back: the finding waits for a decision again. */
final readonly class TakeDeferralBack
{
    public function __construct(
        private Records $records,
        private CommitUnmoved $commit,
        private MayDefer $may,
        private CarryDevices $devices,
    ) {}

    /** @throws Refused once it is begun, made safe or closed */
    public function __invoke(Person $by, int $id, string $why): Finding
    {
        return ($this->commit)(function () use ($by, $id, $why): Closure {
            $deferral = Deferral::with('finding', 'aircraft.type', 'cards.card', 'listedItem')->findOrFail($id);
            $this->may->require($by, $deferral->aircraft);
            $card = $deferral->cards->firstWhere('part', DeferralCard::SAFE)?->card;
            if ($deferral->state !== Deferral::OPEN || $deferral->procedure_done || $card?->state !== Card::OPEN) {
                throw Refused::because($card !== null && ! $deferral->procedure_done
                    ? "Card {$card->number}, which makes it safe, is begun. Finish it, then plan its closure; nothing "
                        .'was '
                        .'changed.'
                    : "{$deferral->finding->number} is carried already. Plan its closure; nothing was changed.");
            }

            return function () use ($by, $deferral, $card, $why): Finding {
                FloorCount::up($deferral->aircraft_id);
                $finding = $deferral->finding;
                $deferral->cards()->delete();
                $card->withdraw();
                $this->devices->letGo($finding);
                $deferral->needs()->delete();
                $deferral->delete();
                $finding->update(['state' => Finding::OPEN, 'settled_at' => null]);
                $this->records->write($by, 'deferral.taken_back', "finding:{$finding->id}", [
                    'number' => $finding->number, 'item' => $deferral->listedItem->code, 'why' => $why,
                ]);

                return $finding;
            };
        });
    }
}
