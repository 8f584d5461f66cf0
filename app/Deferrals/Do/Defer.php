<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Floor\Model\SafingDevice;
use App\Library\FollowWords;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;

/**
 * Carries a finding under a listed item: the clock starts, the placard is named, the safing devices of its card stay on
 * under it.
 */
final readonly class Defer
{
    public function __construct(private Clock $clock, private Records $records, private CommitUnmoved $commit) {}

    /**
     * @param bool $safed that the item's procedure has been carried out and its placard fitted
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        Finding $finding,
        ListedItem $item,
        bool $safed,
        bool $carrySafing,
        string $stamp,
        string $pin,
    ): Deferral {
        return ($this->commit)(function () use ($by, $finding, $item, $safed, $carrySafing, $stamp, $pin): Closure {
            $this->ask($finding->refresh(), $item, $safed);
            $by->requireSignature($stamp, $pin);

            return fn(): Deferral => $this->write($by, $finding, $item, $carrySafing);
        });
    }

    /** @throws Refused */
    private function ask(Finding $finding, ListedItem $item, bool $safed): void
    {
        if ($finding->state !== Finding::OPEN) {
            throw Refused::because("Finding {$finding->number} is already {$finding->state->value}.");
        }
        if ($item->type_id !== $finding->aircraft->type_id || $item->chapter !== $finding->chapter) {
            throw Refused::because("{$item->code} does not cover this finding: it is for another type or chapter.");
        }
        if (! $safed) {
            throw Refused::because(
                "Confirm first that the procedure of {$item->code} has been carried out and the placard fitted. "
                    .'Nothing was deferred.',
            );
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

    private function write(Person $by, Finding $finding, ListedItem $item, bool $carrySafing): Deferral
    {
        FloorCount::up($finding->aircraft_id);
        $deferral = Deferral::create([
            'finding_id' => $finding->id, 'aircraft_id' => $finding->aircraft_id, 'listed_item_id' => $item->id,
            'deferred_by' => $by->id,
            'category' => $item->category, 'discovered_at' => $finding->raised_at,
            'timezone' => $this->clock->zone()->getName(),
            'limits' => $item->limits, 'at_discovery' => $finding->aircraft->counters,
            'counted_to' => $finding->aircraft->counters_as_of, 'placard' => $item->placard,
            'procedure_done' => true, 'state' => 'open',
        ]);
        $finding->update(['state' => Finding::DEFERRED, 'settled_at' => (string) $this->clock->now()]);
        $finding->fixCard?->withdraw();
        if ($carrySafing) {
            SafingDevice::where('card_id', $finding->card_id)->whereNull('removed_at')
                ->update(['carried_by' => $finding->id]);
        }
        $this->records->write(
            $by,
            'finding.deferred',
            "finding:{$finding->id}",
            [
                'number' => $finding->number,
                'item' => $item->code,
                'category' => $item->category,
                'stamp' => $by->stamp,
            ],
        );

        return $deferral;
    }
}
