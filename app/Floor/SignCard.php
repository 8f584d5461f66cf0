<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;

/** Signs a card: by whoever worked it, and, where it is due, by an independent inspector who did not. */
final readonly class SignCard
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param float|null $spent hours that it took; as planned where null
     *
     * @throws Refused while a step is open or the signer may not sign for this work
     */
    public function sign(Person $by, Card $card, int $version, string $stamp, string $pin, ?float $spent = null): void
    {
        DB::transaction(function () use ($by, $card, $version, $stamp, $pin, $spent): void {
            $this->begin($card, $version);
            if ($card->state === Card::SIGNED || $card->state === Card::CLOSED) {
                throw Refused::because("Card {$card->number} is already signed.");
            }
            $open = $card->steps->where('state', '!=', Step::DONE)->pluck('no');
            if ($open->isNotEmpty()) {
                throw Refused::because('Still open: step '.$open->implode(', ').'. A card is signed when all its steps are done.');
            }
            $this->requireFit($by, $card, 'perform', $card->skill, false);
            $by->requireSignature($stamp, $pin);
            $card->fill([
                'signed_by' => $by->id, 'signed_at' => (string) $this->clock->now(), 'closed_at' => (string) $this->clock->now(), 'spent' => $spent ?? $card->hours,
                'state' => $card->critical ? Card::SIGNED : Card::CLOSED, 'version' => $card->version + 1,
            ])->save();
            $this->settle($card);
            $this->records->write($by, 'card.signed', "card:{$card->id}", ['number' => $card->number, 'stamp' => $by->stamp, 'revision' => $card->revision]);
        });
    }

    /** @throws Refused for whoever worked the card, or may not inspect this type */
    public function inspect(Person $by, Card $card, int $version, string $stamp, string $pin): void
    {
        DB::transaction(function () use ($by, $card, $version, $stamp, $pin): void {
            $this->begin($card, $version);
            if ($card->state !== Card::SIGNED) {
                throw Refused::because("Card {$card->number} is not waiting for an independent inspection.");
            }
            $tookPart = $card->signed_by === $by->id || in_array($by->id, $card->performers(), true);
            $this->requireFit($by, $card, 'duplicate', null, $tookPart);
            $by->requireSignature($stamp, $pin);
            $card->fill(['inspected_by' => $by->id, 'inspected_at' => (string) $this->clock->now(), 'state' => Card::CLOSED, 'version' => $card->version + 1])->save();
            $this->settle($card);
            $this->records->write($by, 'card.inspected', "card:{$card->id}", ['number' => $card->number, 'stamp' => $by->stamp]);
        });
    }

    /** A closed card that was made for a finding settles it. */
    private function settle(Card $card): void
    {
        if ($card->state === Card::CLOSED && $card->finding_id !== null) {
            Finding::whereKey($card->finding_id)->where('state', 'open')->update(['state' => 'fixed', 'fixed_how' => "by card {$card->number}", 'settled_at' => (string) $this->clock->now()]);
        }
    }

    private function begin(Card $card, int $version): void
    {
        $card->refresh()->loadMissing(['steps', 'aircraft.type', 'assignments']);
        if ($card->version !== $version) {
            throw Refused::stale('Somebody else changed this card while you had it open. Read it again before you sign; nothing was signed.', $card->version);
        }
    }

    private function requireFit(Person $by, Card $card, string $role, ?string $skill, bool $tookPart): void
    {
        $type = $card->aircraft->type->code;
        $code = $by->qualified()->unfit($role, $type, $skill, $this->clock->today(), $tookPart);
        if ($code === 'not_independent') {
            throw Refused::because('You worked on this card, so you cannot inspect it independently. Another inspector must.');
        }
        if ($code !== null) {
            throw Refused::because("{$by->name} ".Words::unfit($code, $role, $type, $skill).'. Nothing was signed.');
        }
    }
}
