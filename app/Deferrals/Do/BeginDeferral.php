<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Floor\CardClosed;
use App\Floor\Model\SafingDevice;
use App\Shared\Clock;
use App\Shared\Records;

/**
 * With the signature of the card that makes it safe a deferral begins: its placard is on, and it carries the devices.
 */
final readonly class BeginDeferral
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function handle(CardClosed $of): void
    {
        $part = DeferralCard::with('deferral.finding')->firstWhere([
            'card_id' => $of->card->id, 'part' => DeferralCard::SAFE,
        ]);
        if ($part === null || $part->deferral->state !== Deferral::OPEN || $part->deferral->procedure_done) {
            return;
        }
        $now = (string) $this->clock->now();
        $finding = $part->deferral->finding;
        $carried = SafingDevice::where('card_id', $of->card->id)->whereNull('removed_at')->get();
        SafingDevice::whereIn('id', $carried->modelKeys())->update(['carried_by' => $finding->id]);
        $part->deferral->update(['procedure_done' => true, 'begun_at' => $now, 'placard_at' => $now]);
        $this->records->write($of->by, 'deferral.begun', "finding:{$finding->id}", [
            'number' => $finding->number, 'card' => $of->card->number, 'placard' => $part->deferral->placard,
            'carries' => array_values($carried->map(
                static fn(SafingDevice $d): string => "{$d->kind}, {$d->place}",
            )->all()),
        ]);
    }
}
