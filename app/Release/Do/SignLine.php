<?php

declare(strict_types=1);

namespace App\Release\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\ItemDoing;
use App\Floor\Model\Card;
use App\Floor\Model\LineValidity;
use App\Release\ReleaseWords;
use App\Release\Show\ShowLineSign;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;

/** Signs that a check on the line is done, and until when the aircraft is good by it. */
final readonly class SignLine
{
    public function __construct(private Clock $clock, private Records $records, private ShowLineSign $show) {}

    /** @throws Refused while anything of the whole aircraft stands in the way, or when it is signed already */
    public function __invoke(Person $by, int $visitId, string $stamp, string $pin): void
    {
        $visit = $this->show->check($visitId);
        $floor = $visit->aircraft->floor_count;
        if ($visit->state === Visit::RELEASED) {
            throw Refused::because('This check is signed already.');
        }
        $blockers = $this->show->blockers($visit, $by);
        if ($blockers !== []) {
            throw Refused::because(
                ReleaseWords::keeps(count($blockers))
                    .", first: {$blockers[0]->title} {$blockers[0]->text}. Nothing was signed.",
            );
        }
        $by->requireSignature($stamp, $pin);
        DB::transaction(fn() => $this->commit($by, $visit, $floor));
    }

    private function commit(Person $by, Visit $visit, int $floor): void
    {
        $card = ShowLineSign::card($visit);
        $now = $this->clock->now();
        $asked = DB::table('aircraft')->where(['id' => $visit->aircraft_id, 'floor_count' => $floor])
            ->increment('floor_count');
        $released = Visit::onLine()->whereKey($visit->id)->where('state', '!=', Visit::RELEASED)->update([
            'state' => Visit::RELEASED, 'released_at' => (string) $now,
        ]);
        if ($asked === 0 || $released === 0) {
            throw Refused::because(
                'Something happened at the aircraft while you signed. Look at it again; nothing was signed.',
            );
        }
        $until = $this->show->until($card)->until;
        LineValidity::create([
            'aircraft_id' => $visit->aircraft_id, 'item_id' => $card->item_id, 'visit_id' => $visit->id,
            'until' => (string) $until, 'flight' => $visit->flight, 'person_id' => $by->id, 'at' => (string) $now,
        ]);
        ItemDoing::create([
            'item_id' => $card->item_id, 'aircraft_id' => $visit->aircraft_id, 'component_id' => null,
            'visit_id' => $visit->id, 'card_id' => $card->id, 'done_by' => self::by($card),
            'date' => (string) $this->clock->today(), 'counters' => $visit->aircraft->counters,
        ]);
        $this->records->write($by, 'line.signed', "visit:{$visit->id}", [
            'aircraft' => $visit->aircraft->mark, 'item' => $card->item?->code, 'number' => $card->number,
            'until' => (string) $until, 'flight' => $visit->flight, 'stamp' => $by->stamp,
            'statement' => $this->show->statement($visit),
        ]);
    }

    private static function by(Card $card): ?string
    {
        $card->loadMissing('signer');

        return $card->signer === null ? null : "{$card->signer->name} ({$card->signer->stamp})";
    }
}
