<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Stores\Model\ToolRecall;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Every reading and use that rests on a recalled tool: those between the day of its last good check and the recall that
 * still stand.
 */
final readonly class RestsOn
{
    /**
     * @return Collection<int, \stdClass> `{id, card_id, step_id, point, value, unit, verdict, at, taker, number, title,
     *   visit_id, aircraft_id, mark, visit_state}`, by aircraft and card
     */
    public function readings(ToolRecall $recall): Collection
    {
        return $this->on(DB::table('readings'), 'readings', $recall)->where('readings.stands', true)
            ->addSelect(['readings.point', 'readings.value', 'readings.unit', 'readings.verdict'])
            ->get();
    }

    /**
     * @return Collection<int, \stdClass> `{id, card_id, step_id, at, taker, number, title, visit_id, aircraft_id, mark,
     *   visit_state}`
     */
    public function uses(ToolRecall $recall): Collection
    {
        return $this->on(DB::table('tool_uses'), 'tool_uses', $recall)->get();
    }

    private function on(Builder $query, string $table, ToolRecall $recall): Builder
    {
        return $query->join('cards', 'cards.id', '=', "{$table}.card_id")
            ->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->join('people', 'people.id', '=', "{$table}.person_id")
            ->select([
                "{$table}.id", "{$table}.card_id", "{$table}.step_id", "{$table}.at", 'people.name as taker',
                'cards.number', 'cards.title', 'cards.visit_id', 'cards.aircraft_id', 'aircraft.mark',
                'visits.state as visit_state',
            ])
            ->where("{$table}.tool_id", $recall->tool_id)
            ->whereBetween("{$table}.at", [$recall->doubt_from, (string) $recall->at])
            ->orderBy('aircraft.mark')
            ->orderBy('cards.number')
            ->orderBy("{$table}.id");
    }
}
