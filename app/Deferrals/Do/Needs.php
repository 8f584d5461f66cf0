<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralNeed;
use App\Deferrals\Show\ShowDeferral;
use App\Now\DeferralClock;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Model\Part;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** What the closure of a deferral waits for: named, expected on a day, there, or not needed after all. */
final readonly class Needs
{
    public function __construct(private Clock $clock, private Records $records, private DeferralClock $clocks) {}

    /** @throws Refused for a deferral that is closed, or a part number that the store does not know */
    public function add(
        Person $by,
        int $deferralId,
        string $kind,
        string $what,
        int $quantity,
        ?Day $expected,
    ): Deferral {
        return DB::transaction(function () use ($by, $deferralId, $kind, $what, $quantity, $expected): Deferral {
            $deferral = self::open($deferralId);
            $part = $kind === 'part' ? Part::firstWhere('number', $what) : null;
            if ($kind === 'part' && $part === null) {
                throw Refused::because("The store has no part \"{$what}\". Enter it there, or name it as a tool or an "
                    .'answer. Nothing was saved.');
            }
            DeferralNeed::create([
                'deferral_id' => $deferral->id, 'kind' => $kind, 'what' => $part === null ? $what : $part->title,
                'part_id' => $part?->id, 'quantity' => $quantity, 'expected' => $expected === null
                    ? null : (string) $expected,
                'person_id' => $by->id, 'at' => (string) $this->clock->now(),
            ]);
            $this->write($by, $deferral, 'deferral.needs', ['kind' => $kind, 'what' => $what, 'expected' => $expected]);

            return $deferral;
        });
    }

    /**
     * Asks for more days: what is asked stands among what is waited for, and whoever is told of it, is told.
     *
     * @throws Refused where none can be had, or not so many
     */
    public function askExtension(Person $by, int $deferralId, int $days, string $reason): Deferral
    {
        return DB::transaction(function () use ($by, $deferralId, $days, $reason): Deferral {
            $deferral = self::open($deferralId);
            $deferral->load(['listedItem', 'aircraft' => static fn($q) => $q->with(LoadFlying::with())]);
            if ($deferral->needs()->where('kind', DeferralNeed::EXTENSION)->whereNull('there_at')->exists()) {
                throw Refused::because('An extension is asked for already. Take that off the list first; nothing was '
                    .'asked.');
            }
            [$most, $why] = ShowDeferral::extension($deferral, $this->clocks->read($deferral, $deferral->aircraft));
            if ($days > $most) {
                throw Refused::because($most === 0 ? "{$why} Nothing was asked."
                    : 'It may be extended by 1 to '.Words::count($most, 'day').'; nothing was asked.');
            }
            $asked = 'Extension by '.Words::count($days, 'day').": {$reason}";
            DeferralNeed::create([
                'deferral_id' => $deferral->id, 'kind' => DeferralNeed::EXTENSION, 'what' => $asked, 'quantity' => 1,
                'person_id' => $by->id, 'at' => (string) $this->clock->now(),
            ]);
            $this->write($by, $deferral, 'deferral.extension_asked', ['days' => $days, 'reason' => $reason]);

            return $deferral;
        });
    }

    /**
     * @param 'expected'|'there'|'drop' $do
     *
     * @throws Refused for a deferral that is closed, or a part of which the store says otherwise
     */
    public function change(Person $by, int $needId, string $do, ?Day $expected): Deferral
    {
        return DB::transaction(function () use ($by, $needId, $do, $expected): Deferral {
            $need = DeferralNeed::with('part.batches')->findOrFail($needId);
            $deferral = self::open($need->deferral_id);
            if ($need->kind === DeferralNeed::EXTENSION && $do !== 'drop') {
                throw Refused::because('What was asked is granted by extending the deferral. Nothing was changed.');
            }
            $today = $this->clock->today();
            if ($do === 'there' && $need->part !== null && $need->part->usable($today) < $need->quantity) {
                throw Refused::because("The store has {$need->part->usable($today)} of {$need->part->number}, not "
                    ."{$need->quantity}. Book it in there first; nothing was changed.");
            }
            match ($do) {
                'drop' => $need->delete(),
                'there' => $need->update(['there_at' => (string) $this->clock->now()]),
                default => $need->update([
                    'expected' => $expected === null ? null : (string) $expected, 'there_at' => null,
                ]),
            };
            $this->write($by, $deferral, "deferral.need_{$do}", ['what' => $need->what, 'expected' => $expected]);

            return $deferral;
        });
    }

    private static function open(int $id): Deferral
    {
        $deferral = Deferral::with('finding')->findOrFail($id);

        return $deferral->state === Deferral::OPEN ? $deferral
            : throw Refused::because("{$deferral->finding->number} is closed. Nothing was changed.");
    }

    /** @param array<string, mixed> $what */
    private function write(Person $by, Deferral $deferral, string $kind, array $what): void
    {
        $this->records->write($by, $kind, "finding:{$deferral->finding_id}", [
            'number' => $deferral->finding->number, ...$what,
        ]);
    }
}
