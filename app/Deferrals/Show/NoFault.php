<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\Report;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Now\LoadListed;
use Illuminate\Support\Collection;
use Jorvel\Core\Library\TestSteps;

/** Which tests on record could say that a report is no fault, and which could be made. */
final readonly class NoFault
{
    /** Kinds of step that test something. */
    private const TESTS = [...TestSteps::JUDGING, 'rig', 'circuit', 'verdict'];

    /** Tests that could be made, the most. */
    private const MOST = 12;

    public function __construct(private LoadListed $listed) {}

    /** @return Collection<int, Card> closed after the report, of its aircraft and chapter, with a test that passed */
    public function proofs(Report $report): Collection
    {
        if ($report->chapter === null) {
            return collect();
        }
        $family = substr($report->chapter, 0, 2);

        return Card::with('item', 'finding', 'template')->where('aircraft_id', $report->aircraft_id)
            ->where('state', Card::CLOSED)
            ->where('closed_at', '>', (string) $report->happened_at)
            // What makes something safe looks whether it is dead, not whether it works.
            ->where(static fn($q) => $q->whereNull('makes')->orWhereNot('makes', Card::CARRY))
            ->whereHas('steps', static fn($q) => $q->whereIn('kind', self::TESTS)->where('state', Step::DONE))
            ->orderByDesc('closed_at')
            ->get()
            ->filter(static fn(Card $c): bool => str_starts_with($c->chapter(), $family))
            ->values();
    }

    /** @return Collection<int, CardTemplate> of its chapter, whose steps test something */
    public function tests(Report $report): Collection
    {
        if ($report->chapter === null) {
            return collect();
        }
        $chapter = $report->chapter;
        $family = substr($chapter, 0, 2);
        $safes = array_filter(array_map(
            static fn(ListedItem $i): ?string => $i->terms()->safe,
            $this->listed->of($report->aircraft->type_id),
        ));

        return CardTemplate::where('type_id', $report->aircraft->type_id)->where('chapter', 'like', "{$family}%")
            ->whereNull('makes')->whereNotIn('code', $safes)->orderBy('code')->get()
            ->filter(static fn(CardTemplate $t): bool => array_intersect(
                self::TESTS,
                array_column($t->expanded(), 'kind'),
            ) !== [])
            ->sortBy(static fn(CardTemplate $t): int => str_starts_with($t->section, $chapter) ? 0 : 1)
            ->take(self::MOST)->values();
    }
}
