<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Crew\Do\Rotas;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Fleet;
use App\Fleet\Show\DueBook;
use App\Fleet\Show\DuePage;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\Panel;
use App\Now\LoadFlying;
use App\Now\VisitDoubts;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\Needed;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\SeasonDown;
use Jorvel\Core\Visits\Season\SeasonGiven;

/** The one maker of what a season is laid on. */
final readonly class LoadSeason
{
    public function __construct(
        private Clock $clock,
        private DueBook $book,
        private LoadFlying $flying,
        private Rotas $rotas,
        private ClosesDeferrals $closures,
        private VisitDoubts $doubts,
    ) {}

    /**
     * @param list<SeasonVisitAsked> $asked visits as somebody has laid them; a kept one that is not among them is where
     *   it is kept
     *
     * @throws Refused for a visit, an aircraft or a place that there is not
     */
    public function of(int $days, array $asked): SeasonGround
    {
        $today = $this->clock->today();
        /** @var Collection<int, Aircraft> $fleet */
        $fleet = $this->book->query()->with([
            'type.items.template', 'type.items.set', 'deferrals.finding', 'deferrals.cards.card',
            // Of many kept visits few are begun: where no step is done, all of a card's hours are left.
            'visits' => static fn($q) => $q->where('state', '!=', Visit::RELEASED)->with([
                'cards.steps' => static fn($q) => $q->whereIn('card_id', Step::whereNot('state', Step::OPEN)
                    ->select('card_id')),
                'plan',
            ]),
        ])->orderBy('mark')->get();
        $this->book->read($fleet);
        $pages = $fleet->mapWithKeys(fn(Aircraft $a): array => [$a->mark => $this->book->page($a)]);
        $visits = $fleet->flatMap(static fn(Aircraft $a): Collection => $a->visits
            ->each(static fn(Visit $v) => $v->setRelation('aircraft', $a)));
        $kept = $visits->mapWithKeys(static fn(Visit $v): array => ["visit-{$v->id}" => $v])->all();
        $places = SeasonPlaces::of($this->rotas, $fleet, $visits, $today, $days);
        $by = array_column($asked, null, 'id');
        $laid = $says = $holds = $gone = [];
        foreach ($kept as $id => $visit) {
            $says[$id] = [
                'title' => $visit->title,
                'pinned' => $visit->state === Visit::IN_WORK || ($by[$id]->pinned ?? false),
            ];
        }
        $demand = new SeasonDemand($pages, $today, $today->plusDays($days - 1), $this->closures, $this->flying);
        $lines = [];
        foreach ($demand->lines as $line) {
            $lines[$line->id()] = $line;
        }
        foreach ($kept as $id => $visit) {
            $holds[$id] = $demand->kept[$visit->id] ?? [];
            $is = $this->kept($id, $visit, $by[$id] ?? null, $places, $holds[$id]);
            if (isset($by[$id]) && $is->items === [] && $is->own <= 0 && ! $is->stands) {
                $gone[] = $is;
            } else {
                $laid[] = $is;
            }
        }
        foreach ($asked as $one) {
            if (isset($kept[$one->id])) {
                continue;
            }
            if (str_starts_with($one->id, 'visit-')) {
                throw Refused::stale(
                    'A visit of this season is released or cancelled by now. Look at it anew; nothing was saved.',
                    $one->id,
                );
            }
            if (! isset($pages[$one->mark])) {
                throw Refused::because("There is no aircraft {$one->mark}. Nothing was saved.");
            }
            $laid[] = $one->laid($one->hours, false);
            $says[$one->id] = ['title' => $one->title, 'pinned' => $one->pinned];
        }
        $fleets = $this->fleets($fleet);

        return new SeasonGround(
            $today,
            $days,
            $pages,
            $lines,
            $places,
            $this->given($today, $days, $lines, $places, $pages, $fleets, array_values($visits->filter(
                fn(Visit $v): bool => $this->flying->span($v)->stands($today),
            )->map(static fn(Visit $v): string => $v->aircraft->mark)->all())),
            $kept,
            $holds,
            self::known($laid, $lines, $places),
            $gone,
            $says,
            $fleets,
        );
    }

    /**
     * A kept visit, where it is kept or where somebody has moved it; one that goes on stays.
     *
     * @param list<string> $holds lines that it has cards for
     */
    private function kept(
        string $id,
        Visit $visit,
        ?SeasonVisitAsked $asked,
        SeasonPlaces $places,
        array $holds,
    ): LaidVisit {
        $span = $this->flying->span($visit);
        $place = SeasonPlace::of($visit);
        $stands = $visit->state === Visit::IN_WORK;
        $bays = array_column($places->bays, null, 'id');
        $closing = $visit->aircraft->deferrals->flatMap(
            static fn(Deferral $d): Collection => $d->cards->filter(static fn(DeferralCard $c): bool
                => $c->stage() !== null)->pluck('card_id'),
        )->flip();
        // What no line of the season stands for: fixes, cards that were put on it. What it has for others is theirs.
        $more = $visit->cards->filter(static fn(Card $c): bool => $c->item_id === null && ! isset($closing[$c->id])
            && $c->isWork());
        $hours = $more->sum(static fn(Card $c): float => $stands ? $c->hoursLeft() : $c->hours);
        $items = $asked === null || $stands ? $holds : $asked->items;
        $by = array_diff($items, $holds) === [] && array_diff($holds, $items) === []
            ? $this->doubts->leavesBy($visit)
            : null;
        $is = LaidVisit::of(
            $id,
            $visit->aircraft->mark,
            $place,
            $span->from,
            $span->to,
            $items,
            (float) $hours,
            [],
            ! $bays[$place]->outside && $hours > (float) config('jorvel.season_roof_hours'),
            $stands,
            $by === null ? 0 : $visit->start->daysUntil($by) + 1,
        );

        return $asked === null || $stands ? $is : $is->at($asked->bay, $asked->start, $asked->end);
    }

    /**
     * @param array<string, SeasonLine> $lines
     * @param Collection<string, DuePage> $pages
     * @param list<array{fleet: mixed, aircraft: list<string>, needs: int|null}> $fleets
     * @param list<string> $in aircraft that are in a visit today
     */
    private function given(
        Day $today,
        int $days,
        array $lines,
        SeasonPlaces $places,
        Collection $pages,
        array $fleets,
        array $in,
    ): SeasonGiven {
        $access = [];
        foreach (Panel::orderBy('id')->get() as $panel) {
            $access[SeasonDemand::panel($panel->type_id, $panel->code)] = $panel->hours();
        }
        foreach ($lines as $line) {
            $access += array_fill_keys($line->item->is->panels, 1.0);
        }
        $down = [];
        foreach ($fleets as $fleet) {
            if ($fleet['needs'] !== null) {
                // What would stand for want of a visit flies no more than what is in one: one may always come in.
                $down[] = SeasonDown::of($fleet['aircraft'], max(
                    1 + count(array_intersect($fleet['aircraft'], $in)),
                    count($fleet['aircraft']) - $fleet['needs'],
                ));
            }
        }

        return SeasonGiven::of(
            $today,
            $days,
            array_values(array_map(static fn(SeasonLine $l) => $l->item, $lines)),
            $access,
            $places->bays,
            [],
            $down,
            (float) config('jorvel.season_day_hours'),
            (float) config('jorvel.season_visit_hours'),
            $pages->map(fn(DuePage $p): array => $this->toll($p->aircraft, $today, $days))->all(),
            $places->shared(),
        );
    }

    /** @return array<int, float> what each day costs for what the aircraft was to fly on it */
    private function toll(Aircraft $aircraft, Day $today, int $days): array
    {
        // As if it stood in no visit: what would be flown if it did not.
        $free = (clone $aircraft)->setRelation('visits', new Collection);
        $plan = $this->flying->plan($free);
        $sectors = $aircraft->sectors->countBy(static fn($s): string => (string) $s->date);
        $toll = [];
        for ($n = 0; $n < $days; $n++) {
            $day = $today->plusDays($n);
            $toll[$day->number] = (float) config('jorvel.season_flying_hours') * ($plan->day($day)['fh'] ?? 0.0)
                + (float) config('jorvel.season_sector_hours') * ($sectors[(string) $day] ?? 0);
        }

        return $toll;
    }

    /**
     * @param Collection<int, Aircraft> $fleet
     *
     * @return list<array{fleet: Fleet, aircraft: list<string>, needs: int|null}>
     */
    private function fleets(Collection $fleet): array
    {
        $out = [];
        foreach ($fleet->groupBy('fleet_id') as $of) {
            $task = $of->firstOrFail()->fleet->task;
            $needs = $task === null ? null : Needed::of(
                array_values($of->map(fn(Aircraft $a): float => $this->flying->plan($a)->means['fh'] ?? 0.0)->all()),
                $task / 7,
                (float) config('jorvel.season_fly_more'),
            );
            $out[] = [
                'fleet' => $of->firstOrFail()->fleet,
                'aircraft' => array_values($of->pluck('mark')->all()),
                'needs' => $needs,
            ];
        }

        return $out;
    }

    /**
     * Only what there still is to be done: what was done, or is in a visit by now, is left out of what was laid.
     *
     * @param list<LaidVisit> $laid
     * @param array<string, SeasonLine> $lines
     *
     * @return list<LaidVisit>
     *
     * @throws Refused for a place that there is not
     */
    private static function known(array $laid, array $lines, SeasonPlaces $places): array
    {
        $seen = [];
        $out = [];
        foreach ($laid as $visit) {
            if (! isset($places->places[$visit->bay])) {
                throw Refused::because("There is no place \"{$visit->bay}\". Nothing was saved.");
            }
            $items = array_values(array_filter(
                $visit->items,
                static fn(string $id): bool => isset($lines[$id]) && ! isset($seen[$id])
                    && $lines[$id]->item->aircraft === $visit->aircraft,
            ));
            $seen += array_flip($items);
            $out[] = $items === $visit->items ? $visit : $visit->holding($items);
        }

        return $out;
    }
}
