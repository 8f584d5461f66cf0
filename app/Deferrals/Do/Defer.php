<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\Together;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Floor\Model\SafingDevice;
use App\Library\FollowWords;
use App\Now\CommitUnmoved;
use App\Now\DeferralClock;
use App\Now\FloorCount;
use App\Now\LoadFlying;
use App\Now\LoadListed;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Deferrals\Fits;

/**
 * Decides that a finding is carried under a listed item: its clock has run since it was found; the card that makes it
 * safe is made, and it is carried from when that is signed. Where nothing has to be done but to fit the placard, at
 * once.
 */
final readonly class Defer
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private MayDefer $may,
        private MakeSafe $safe,
        private CarryDevices $devices,
        private Together $together,
        private DeferralClock $clocks,
    ) {}

    /** @throws Refused with what stands in the way; asks once where the aircraft could not fly with it */
    public function __invoke(Person $by, int $findingId, NewDeferral $new, string $stamp, string $pin): Deferral
    {
        return ($this->commit)(function () use ($by, $findingId, $new, $stamp, $pin): Closure {
            $finding = Finding::with([
                'aircraft' => static fn($q) => $q->with(LoadFlying::with()), 'aircraft.type',
                'aircraft.deferrals.listedItem', 'card.visit', 'card.aircraft.type', 'fixCard',
            ])->findOrFail($findingId);
            $this->may->require($by, $finding->aircraft);
            self::requireOpen($finding);
            $item = ListedItem::inForce($finding->aircraft->type_id)->find($new->item)
                ?? throw Refused::because('That item is not in force for this type. Nothing was deferred.');
            $this->requireFits($finding, $item, $new);
            $devices = $this->devices->ask($finding, $new->carry);
            $this->requireSure($finding, $item, $new);
            $by->requireSignature($stamp, $pin);

            return fn(): Deferral => $this->write($by, $finding, $item, $new, $devices);
        });
    }

    /** @throws Refused for a finding that is settled, followed by something, or being fixed */
    private static function requireOpen(Finding $finding): void
    {
        if ($finding->state !== Finding::OPEN) {
            throw Refused::because("Finding {$finding->number} is already {$finding->state->value}.");
        }
        $waits = $finding->unanswered();
        if ($waits !== []) {
            throw Refused::because(FollowWords::waits($finding, $waits));
        }
        $card = $finding->followUps()->with('card')->whereNotNull('card_id')->get()
            ->first(static fn(FollowUp $f): bool => $f->card?->state !== Card::CLOSED)?->card;
        if ($card !== null) {
            throw Refused::because("Card {$card->number} follows from {$finding->number}, as the approved data says: it "
                .'comes first. Nothing was deferred.');
        }
        if ($finding->fixCard !== null && $finding->fixCard->state !== Card::OPEN) {
            throw Refused::because(
                "Card {$finding->fixCard->number}, which fixes {$finding->number}, is begun. Finish it, or take "
                    .'its steps back; nothing was deferred.',
            );
        }
    }

    /** @throws Refused with each reason why it does not fit; that it is another part may be overruled with a reason */
    private function requireFits(Finding $finding, ListedItem $item, NewDeferral $new): void
    {
        $terms = $item->terms();
        if (! $terms->ofFamily($finding->chapter)) {
            throw Refused::because("{$item->code} does not cover this finding: it is of chapter {$item->chapter}, "
                ."{$finding->number} of {$finding->chapter}. Nothing was deferred.");
        }
        if ($terms->positions !== [] && ! in_array($new->position, $terms->positions, true)) {
            throw Refused::because('Say which it is: '.implode(', ', $terms->positions).'. Nothing was deferred.');
        }
        $why = array_diff(Fits::why(
            $terms,
            $finding->chapter,
            "{$finding->place} {$finding->extent}",
            $terms->positions === [] ? null : $new->position,
            LoadListed::carried($finding),
        ), ($new->because ?? '') === '' ? [] : ['other_part']);
        if ($why !== []) {
            $said = DeferralWords::unfit(array_values($why), $terms, DeferralWords::numbers($finding->aircraft));
            throw Refused::because("{$item->code} does not cover this: {$said}. Nothing was deferred.");
        }
        $clock = $this->clocks->preview($finding, $item);
        if ($clock->status === 'expired') {
            throw Refused::because("{$finding->number} was found too long ago to be carried under {$item->code}: its "
                .'time '
                .'has run out. Fix it; nothing was deferred.');
        }
        if ($terms->safe === null && ! $new->placard) {
            throw Refused::because("Confirm first that the placard \"{$item->placard}\" is fitted. Nothing was "
                .'deferred.');
        }
    }

    /** @throws Refused that asks, where every flight is forbidden by it and what is carried */
    private function requireSure(Finding $finding, ListedItem $item, NewDeferral $new): void
    {
        [$against] = $this->together->with($finding, $item);
        if ($against !== [] && ! $new->sure) {
            throw Refused::ask("With {$item->code} {$finding->aircraft->mark} could not fly at all. Nothing was "
                .'deferred '
                .'yet.', $against);
        }
    }

    /** @param list<SafingDevice> $devices */
    private function write(Person $by, Finding $finding, ListedItem $item, NewDeferral $new, array $devices): Deferral
    {
        FloorCount::up($finding->aircraft_id);
        $now = (string) $this->clock->now();
        $begins = $item->terms()->safe === null;
        $deferral = Deferral::create([
            'finding_id' => $finding->id, 'aircraft_id' => $finding->aircraft_id, 'listed_item_id' => $item->id,
            'deferred_by' => $by->id, 'category' => $item->category, 'discovered_at' => $finding->raised_at,
            'timezone' => $this->clock->zone()->getName(), 'limits' => $item->limits,
            'at_discovery' => $finding->aircraft->counters, 'counted_to' => $finding->aircraft->counters_as_of,
            'placard' => $item->placard, 'position' => $new->position, 'because' => $new->because,
            'decided_at' => $now, 'begun_at' => $begins ? $now : null, 'placard_at' => $begins ? $now : null,
            'procedure_done' => $begins, 'state' => Deferral::OPEN, 'extensions' => [],
        ]);
        $deferral->setRelation('listedItem', $item)->setRelation('finding', $finding);
        $finding->update(['state' => Finding::DEFERRED, 'settled_at' => $now]);
        $finding->fixCard?->withdraw();
        $card = $begins ? null : $this->safe->make($deferral, $finding);
        $this->devices->carry($by, $finding, $devices);
        $this->records->write($by, 'finding.deferred', "finding:{$finding->id}", [
            'number' => $finding->number, 'item' => $item->code, 'version' => $item->version,
            'category' => $item->category, 'position' => $new->position, 'because' => $new->because,
            'stamp' => $by->stamp, 'card' => $card?->number, 'says' => DeferralWords::log($deferral, $finding),
        ]);

        return $deferral;
    }
}
