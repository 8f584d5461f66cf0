<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolCheckEntry;
use App\Stores\Model\ToolRecall;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\ToolCheck;

/** Recalls: from when readings are in doubt, and on which cards nobody has opened the re-check yet. */
final class Recalls
{
    /** @var Collection<array-key, Collection<int, \stdClass>>|null by aircraft, for one request */
    private ?Collection $unopened = null;

    public function __construct(private readonly Clock $clock, private readonly Records $records) {}

    public function open(?Person $by, Tool $tool, Day $foundOn, string $note): ToolRecall
    {
        FloorCount::upEverywhere();

        return ToolRecall::create([
            'tool_id' => $tool->id,
            'person_id' => $by?->id,
            'found_on' => (string) $foundOn,
            ...$this->doubt($tool, $foundOn),
            'note' => $note,
            'at' => (string) $this->clock->now(),
        ]);
    }

    /** A good check of before was entered late: less is in doubt. */
    public function narrow(Person $by, ToolRecall $recall): void
    {
        $doubt = $this->doubt($recall->tool, Day::parse($recall->found_on));
        if ($doubt['last_good'] !== $recall->last_good) {
            $was = $recall->last_good;
            $recall->update($doubt);
            $this->records->write(
                $by,
                'recall.narrowed',
                "tool:{$recall->tool_id}",
                ['tool' => $recall->tool->code, 'was' => $was, 'last_good' => $doubt['last_good']],
            );
        }
    }

    /**
     * Cards of an aircraft on which something stands that rests on a recalled tool, and whose re-check is not opened.
     *
     * @return Collection<int, \stdClass> `{aircraft_id, card_id, number, title, tool}`
     */
    public function unopened(int $aircraft): Collection
    {
        $this->unopened ??= $this->resting('readings')
            ->where('rested.stands', true)
            ->union($this->resting('tool_uses'))
            ->get()
            ->groupBy('aircraft_id');

        return $this->unopened->get($aircraft) ?? collect();
    }

    private function resting(string $table): Builder
    {
        return DB::table('tool_recalls')->join(
            "{$table} as rested",
            static fn($j) => $j->on(
                'rested.tool_id',
                '=',
                'tool_recalls.tool_id',
            )->on('rested.at', '>=', 'tool_recalls.doubt_from')->on('rested.at', '<=', 'tool_recalls.at'),
        )
            ->join('tools', 'tools.id', '=', 'tool_recalls.tool_id')->join('cards', 'cards.id', '=', 'rested.card_id')
            ->whereNotExists(
                static fn($q)
                    => $q
                        ->from('rechecks')
                        ->whereColumn('rechecks.recall_id', 'tool_recalls.id')
                        ->whereColumn('rechecks.card_id', 'rested.card_id'),
            )
            ->distinct()
            ->select(['cards.aircraft_id', 'rested.card_id', 'cards.number', 'cards.title', 'tools.code as tool']);
    }

    /**
     * @return array{last_good: string|null, doubt_from: string} the day of the last good check itself is good to its
     *   end, in the operator's zone
     */
    private function doubt(Tool $tool, Day $foundOn): array
    {
        $checks = ToolCheckEntry::where('tool_id', $tool->id)->get()
            ->map(static fn(ToolCheckEntry $c): ToolCheck => new ToolCheck($c->date, $c->good))
            ->all();
        $last = ToolCheck::lastGood(array_values($checks), $foundOn);

        return [
            'last_good' => $last === null ? null : (string) $last,
            'doubt_from' => $last === null ? '' : (string) $this->clock->at($last, '24:00'),
        ];
    }
}
