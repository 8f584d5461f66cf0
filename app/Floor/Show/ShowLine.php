<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\LineValidity;
use App\Floor\Show\View\LineCheckView;
use App\Floor\Show\View\LineRow;
use App\Floor\Show\View\LineView;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\LineCheck;
use Jorvel\Core\Fleet\LineState;

/** The aircraft on the line, with the checks that are good until tomorrow, and those that are not. */
final readonly class ShowLine
{
    private const ORDER = ['stop' => 0, 'watch' => 1, 'waiting' => 2, 'clear' => 3];

    public function __construct(private Clock $clock) {}

    public function all(Person $me): LineView
    {
        $items = ProgrammeItem::whereNotNull('line')->where('withdrawn', false)->orderBy('code')->get()
            ->groupBy('type_id');
        $aircraft = Aircraft::with('type')->whereIn('type_id', $items->keys())->orderBy('mark')->get();
        $valid = LineValidity::with('person')->whereIn('id', LineValidity::selectRaw('max(id)')
            ->groupBy('aircraft_id', 'item_id'))->get()
            ->keyBy(static fn(LineValidity $v): string => "{$v->aircraft_id}:{$v->item_id}")
            ->all();
        $open = Card::with('assignments.person', 'visit')->whereNotNull('item_id')
            ->whereIn('visit_id', Visit::onLine()->where('visits.state', '!=', Visit::RELEASED)->select('id'))
            ->orderBy('id')->get()
            ->keyBy(static fn(Card $c): string => "{$c->aircraft_id}:{$c->item_id}")
            ->all();
        $visits = Visit::where('state', Visit::IN_WORK)->pluck('title', 'aircraft_id');
        $found = Finding::where('state', Finding::OPEN)->orderBy('id')->pluck('number', 'aircraft_id');
        $flights = LineFlights::today($this->clock);
        $rows = $aircraft->map(fn(Aircraft $a): LineRow => $this->row(
            $a,
            $flights,
            $items[$a->type_id],
            $valid,
            $open,
            $visits[$a->id] ?? null,
            $found[$a->id] ?? null,
        ))->sortBy(static fn(LineRow $r): array => [
            $r->visit === null ? 0 : 1, self::ORDER[$r->state] ?? 9, $r->mark,
        ])->values();

        return new LineView($this->sentence($rows), $me->can('raise', Card::class), array_values($rows->all()));
    }

    /**
     * @param Collection<int, ProgrammeItem> $items of its type
     * @param array<string, LineValidity> $valid the last of each, by aircraft and item
     * @param array<string, Card> $open
     */
    private function row(
        Aircraft $a,
        LineFlights $flights,
        Collection $items,
        array $valid,
        array $open,
        ?string $visit,
        ?string $found,
    ): LineRow {
        $checks = array_values($items->map(fn(ProgrammeItem $i): LineCheckView => $this->check(
            $i,
            $a->id,
            $flights,
            $valid["{$a->id}:{$i->id}"] ?? null,
            $open["{$a->id}:{$i->id}"] ?? null,
        ))->all());
        $daily = array_values(array_filter($checks, static fn(LineCheckView $c): bool => $c->line === 'daily'));
        $worst = collect($daily)->sortBy(static fn(LineCheckView $c): int => self::ORDER[$c->state])->first();
        [$state, $said] = match (true) {
            $visit !== null => ['waiting', "stands in \"{$visit}\""],
            $found !== null => ['stop', "finding {$found} is open"],
            $worst === null => ['clear', 'no daily check in its programme'],
            default => [$worst->state, $worst->said],
        };

        $lacks = $visit === null && collect($daily)->contains('lacks', true);

        return new LineRow($a->mark, $a->type->code, $a->base, $state, $said, $lacks, $visit, $checks);
    }

    private function check(
        ProgrammeItem $item,
        int $aircraft,
        LineFlights $flights,
        ?LineValidity $last,
        ?Card $open,
    ): LineCheckView {
        $today = $this->clock->today();
        $turns = $flights->of($aircraft);
        $who = $open?->assignments->map(static fn(Assignment $a): string => $a->person->name)->implode(', ');
        $is = LineState::of($item->line ?? LineCheck::Daily, $last?->validity(), $open?->worked(), $today, $turns);
        $until = $last === null ? '' : $this->clock->words($last->until);
        [$state, $word, $said] = match ($is) {
            LineState::Begun => ['waiting', 'under way', "begun by {$who}"],
            LineState::ToSign => ['waiting', 'under way', "worked by {$who}; to be signed good"],
            LineState::OnReport => ['clear', 'on a report', 'after a crew says that something was wrong'],
            LineState::BetweenFlights => [
                'waiting', 'between flights', $last === null ? 'not signed yet' : "last on {$until}",
            ],
            LineState::BeforeFlight => [
                'waiting', "before {$turns->next()}", 'not turned round for '
                    .$flights->words($aircraft, (string) $turns->next()).' yet',
            ],
            LineState::Turned => [
                'clear', 'turned round', "for every flight of today, last {$last?->flight}, {$last?->person->name}",
            ],
            LineState::Never => ['stop', 'none', 'never signed here'],
            LineState::RanOut => ['stop', 'none', "ran out at the end of {$until}"],
            LineState::Ending => ['watch', 'tonight', "good until tonight, {$last?->person->name}"],
            LineState::Good => ['clear', 'good', "until the end of {$until}, {$last?->person->name}"],
        };

        return new LineCheckView(
            $item->id,
            $item->code,
            $item->title,
            $item->line->value ?? 'daily',
            $state,
            $word,
            $said,
            $is->lacks(),
            $open?->id,
            $is === LineState::BeforeFlight ? $turns->wanting() : [],
        );
    }

    /** @param Collection<int, LineRow> $rows */
    private function sentence(Collection $rows): string
    {
        $without = $rows->where('lacks', true);
        $ending = $rows->where('visit', null)->where('state', 'watch')->count();
        $on = $rows->where('visit', null)->count();

        return $rows->isEmpty()
            ? 'No type has a check on the line. It is an item of the programme with "line".'
            : ($without->isEmpty()
                ? "All {$on} aircraft on the line are good"
                : Words::count($without->count(), 'aircraft has', 'aircraft have').' no check that is good: '
                    .$without->take(6)->pluck('mark')->implode(', ').($without->count() > 6 ? ' …' : ''))
                .($ending === 0 ? '.' : '; '.Words::count($ending, 'runs', 'run').' out tonight.');
    }
}
