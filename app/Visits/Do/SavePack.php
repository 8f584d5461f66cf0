<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Now\CommitUnmoved;
use App\Shared\Refused;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use App\Visits\Show\PackRoom;
use App\Visits\Show\View\PackLine;
use App\Visits\Show\View\PackSlot;
use App\Visits\Show\View\PackView;
use Closure;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;

/**
 * Saves a packing: a visit for each free slot that has items, more cards for a visit that is planned; all of it or
 * nothing.
 */
final readonly class SavePack
{
    public function __construct(
        private PackRoom $room,
        private CreateVisit $create,
        private PlanVisit $plan,
        private CommitUnmoved $commit,
    ) {}

    /**
     * @param array<string, string> $into slot by item
     *
     * @return list<int> ids of the visits made or filled
     *
     * @throws Refused when anything would be overdue, or a slot holds too much
     */
    public function __invoke(Person $by, string $mark, int $days, array $into): array
    {
        $visits = ($this->commit)(fn(): Closure => $this->ask($by, $mark, $days, $into));
        foreach ($visits as $visit) {
            ($this->plan)($visit, $by, 'planned when it was packed');
        }

        return array_map(static fn(Visit $v): int => $v->id, $visits);
    }

    /**
     * @param array<string, string> $into
     *
     * @return Closure(): list<Visit>
     */
    private function ask(Person $by, string $mark, int $days, array $into): Closure
    {
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
        $fill = $spans = [];
        foreach ($pack->slots as $slot) {
            $keys = array_values(array_map(
                static fn(PackLine $l): string => $l->key,
                array_filter($pack->items, static fn(PackLine $l): bool => $l->slot === $slot->id),
            ));
            if ($keys !== []) {
                $fill[] = $this->fill($by, $mark, $slot, $keys, $spans);
                $spans[] = VisitSpan::of(Day::parse($slot->start), Day::parse($slot->end));
            }
        }

        return static fn(): array => array_map(static fn(Closure $make): Visit => $make(), $fill);
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

    /**
     * @param list<string> $keys
     * @param list<VisitSpan> $also the slots that are filled already
     *
     * @return Closure(): Visit
     */
    private function fill(Person $by, string $mark, PackSlot $slot, array $keys, array $also): Closure
    {
        $id = (int) explode('-', $slot->id)[1];
        if ($slot->kind === 'visit') {
            return $this->create->askMore($by, Visit::findOrFail($id), $keys);
        }
        $type = Aircraft::with('type')->where('mark', $mark)->firstOrFail()->type->code;
        $make = $this->create->ask($by, new NewVisit(
            $mark,
            count($keys) === 1 ? 'Work' : "{$type} work of ".count($keys).' items',
            $slot->bay,
            Day::parse($slot->start),
            Day::parse($slot->end),
            $keys,
            also: $also,
        ));

        return static function () use ($make, $id): Visit {
            BaySlot::whereKey($id)->delete();

            return $make();
        };
    }
}
