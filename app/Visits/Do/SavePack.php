<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Shared\Refused;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use App\Visits\Show\PackRoom;
use App\Visits\Show\View\PackLine;
use App\Visits\Show\View\PackSlot;
use App\Visits\Show\View\PackView;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/**
 * Saves a packing: a visit for each free slot that has items, more cards for a visit that is planned; all of it or
 * nothing.
 */
final readonly class SavePack
{
    public function __construct(private PackRoom $room, private CreateVisit $create) {}

    /**
     * @param array<string, string> $into slot by item
     *
     * @return list<int> ids of the visits made or filled
     *
     * @throws Refused when anything would be overdue, or a slot holds too much
     */
    public function __invoke(Person $by, string $mark, int $days, array $into): array
    {
        return DB::transaction(function () use ($by, $mark, $days, $into): array {
            $pack = $this->room->look($mark, $days, $into);
            if (! $pack->maySave) {
                throw Refused::because($this->refusal($pack));
            }
            $known = array_column($pack->items, 'key');
            foreach (array_diff(array_keys($into), $known) as $key) {
                throw Refused::because(
                    "Item {$key} is in a visit by now, or no longer due. Pack again; nothing was saved.",
                );
            }
            $visits = [];
            foreach ($pack->slots as $slot) {
                $keys = array_values(array_map(
                    static fn(PackLine $l): string => $l->key,
                    array_filter($pack->items, static fn(PackLine $l): bool => $l->slot === $slot->id),
                ));
                if ($keys !== []) {
                    $visits[] = $this->fill($by, $mark, $slot, $keys);
                }
            }

            return $visits;
        });
    }

    private function refusal(PackView $pack): string
    {
        foreach ($pack->items as $line) {
            if ($line->slot !== null && $line->problem !== null) {
                return "{$line->code} {$line->title} {$line->problem}. Nothing was saved.";
            }
        }
        foreach ($pack->slots as $slot) {
            if ($slot->problem !== null) {
                return "{$slot->bay} from {$slot->start}: {$slot->problem}. Nothing was saved.";
            }
        }

        return 'No item has a visit yet. Nothing was saved.';
    }

    /** @param list<string> $keys */
    private function fill(Person $by, string $mark, PackSlot $slot, array $keys): int
    {
        $id = (int) explode('-', $slot->id)[1];
        if ($slot->kind === 'visit') {
            $this->create->add($by, Visit::findOrFail($id), $keys);

            return $id;
        }
        $type = Aircraft::with('type')->where('mark', $mark)->firstOrFail()->type->code;
        $visit = ($this->create)(
            $by,
            $mark,
            count($keys) === 1 ? 'Work' : "{$type} work of ".count($keys).' items',
            $slot->bay,
            Day::parse($slot->start),
            Day::parse($slot->end),
            $keys,
        );
        BaySlot::whereKey($id)->delete();

        return $visit->id;
    }
}
