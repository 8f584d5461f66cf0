<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\DamageWords;
use App\Floor\Model\Card;
use App\Floor\Model\Damage;
use App\Floor\Model\DamageLook;
use App\Floor\Model\Finding;
use App\Floor\Model\Severity;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Floor\DamageState;

/** The damage map of an aircraft: new ones told from old, looked at again, and repaired. */
final readonly class DamageBook
{
    public function __construct(private Clock $clock, private Records $records, private RaiseFinding $raise) {}

    /** @throws Refused where one that is known lies near, and nobody said that this is another */
    public function add(Person $by, Card $card, NewDamage $new): Damage
    {
        return DB::transaction(function () use ($by, $card, $new): Damage {
            $near = $new->another ? null : Damage::with('looks.person')
                ->where(['aircraft_id' => $card->aircraft_id, 'state' => Damage::OPEN])->orderBy('id')->get()
                ->first(static fn(Damage $d): bool => $d->at()->near($new->spot));
            if ($near !== null) {
                throw Refused::because("{$near->name()} lies near, "
                    .DamageWords::size($near->looks->last()?->size()).' when it was last looked at. If it is that one, '
                    .'look at it again; if it is another, say so. Nothing was entered.');
            }
            FloorCount::up($card->aircraft_id);
            $damage = Damage::create([
                'aircraft_id' => $card->aircraft_id, 'number' => sprintf('D%04d', (int) Damage::max('id') + 1),
                'kind' => $new->kind, 'place' => $new->place, 'spot' => (array) $new->spot, 'limits' => $new->limits,
                'source' => $new->source, 'every_fh' => $new->everyHours, 'every_days' => $new->everyDays,
                'state' => Damage::OPEN,
            ]);
            $this->record($by, 'damage.entered', $damage, ['kind' => $new->kind, 'place' => $new->place]);
            $this->see($by, $damage, $card, $new->size, '');

            return $damage;
        });
    }

    /**
     * It was looked at again, and measured.
     *
     * @param Card|null $card at which
     *
     * @throws Refused once it is repaired
     */
    public function look(Person $by, int $id, ?Card $card, DamageSize $size, string $note): Damage
    {
        return DB::transaction(function () use ($by, $id, $card, $size, $note): Damage {
            $damage = self::open($id);
            if ($card !== null && $card->aircraft_id !== $damage->aircraft_id) {
                throw Refused::because("{$damage->number} is not on {$card->aircraft->mark}. Nothing was entered.");
            }
            FloorCount::up($damage->aircraft_id);
            $this->see($by, $damage, $card, $size, $note);

            return $damage;
        });
    }

    /**
     * It was looked at, and is as it was.
     *
     * @throws Refused once it is repaired, or on another aircraft
     */
    public function same(Person $by, int $id, Card $card): Damage
    {
        $last = self::open($id)->looks->last()?->size();

        return $last === null
            ? throw Refused::because('It was never measured. Measure it now; nothing was entered.')
            : $this->look($by, $id, $card, $last, 'as it was');
    }

    /**
     * It is blended or repaired, or was none.
     *
     * @param string $how `blended`, `repaired`, `mistake`
     *
     * @throws Refused while the finding that was raised for it is open
     */
    public function settle(Person $by, int $id, string $how, string $note): Damage
    {
        return DB::transaction(function () use ($by, $id, $how, $note): Damage {
            $damage = self::open($id);
            if ($damage->finding?->state === Finding::OPEN) {
                throw Refused::because("Finding {$damage->finding->number} was raised for it and is open: it is put "
                    .'right by its card, or deferred. Nothing was changed.');
            }
            FloorCount::up($damage->aircraft_id);
            $damage->update([
                'state' => $how, 'settled_by' => $by->id, 'settled_at' => (string) $this->clock->now(),
                'settled_how' => $note,
            ]);
            $this->record($by, "damage.{$how}", $damage, ['how' => $note]);

            return $damage;
        });
    }

    private static function open(int $id): Damage
    {
        $damage = Damage::with('looks', 'finding', 'craft')->findOrFail($id);

        return $damage->state === Damage::OPEN
            ? $damage
            : throw Refused::because("{$damage->number} is {$damage->state} already. Nothing was changed.");
    }

    private function see(Person $by, Damage $damage, ?Card $card, DamageSize $size, string $note): void
    {
        $damage->load('craft');
        DamageLook::create([
            'damage_id' => $damage->id, 'card_id' => $card?->id, 'person_id' => $by->id,
            'date' => (string) $this->clock->today(), 'at' => (string) $this->clock->now(),
            'fh' => $damage->craft->counters['fh'] ?? null, 'note' => $note, ...Damage::sizes($size),
        ]);
        $damage->load('looks', 'finding');
        $this->record($by, 'damage.looked', $damage, Damage::sizes($size));
        $against = $damage->against();
        if (! DamageState::raises($against, $damage->finding?->state)) {
            return;
        }
        if ($card === null) {
            throw Refused::because(DamageWords::against($against, $damage)
                .' That is a finding: look at it from a card, so that it is raised there. Nothing was entered.');
        }
        $finding = $this->raise->raise($by, $card, new NewFinding(
            $damage->place,
            "{$damage->number}, {$damage->kind}: ".DamageWords::size($size).'. '
                .DamageWords::against($against, $damage),
            Severity::Major,
            null,
            null,
            $damage->spot,
        ));
        $damage->update(['finding_id' => $finding->id]);
    }

    /** @param array<string, mixed> $more */
    private function record(Person $by, string $what, Damage $damage, array $more): void
    {
        $this->records->write($by, $what, "damage:{$damage->id}", ['number' => $damage->number, ...$more]);
    }
}
