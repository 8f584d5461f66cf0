<?php

declare(strict_types=1);

namespace App\Visits\Do\Season;

use App\Crew\Model\Person;
use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\Card;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\Life\CancelVisit;
use App\Visits\Do\Life\LoseCards;
use App\Visits\Do\NewVisit;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\BaySlot;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\SeasonRun;
use App\Visits\Model\Visit;
use App\Visits\Show\Season\ClosesDeferrals;
use App\Visits\Show\Season\LoadSeason;
use App\Visits\Show\Season\SeasonGround;
use App\Visits\Show\Season\SeasonLine;
use App\Visits\Show\Season\SeasonPlace;
use App\Visits\Show\Season\SeasonVisitAsked;
use App\Visits\Show\Season\ShowSeason;
use App\Visits\Show\View\SeasonBlock;
use App\Visits\Show\View\SeasonKeptView;
use App\Visits\Show\View\SeasonView;
use Closure;
use Illuminate\Support\Collection;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;

/**
 * Keeps a season as it is laid: new visits with their cards and plans, kept ones moved and filled; all of it or
 * nothing. What closes deferrals follows visit by visit, and is said where it cannot.
 */
final readonly class KeepSeason
{
    /** Plans tried for each visit: there are many, and each can be searched again when it comes near. */
    private const ROUNDS = 6;

    public function __construct(
        private LoadSeason $load,
        private ShowSeason $show,
        private CreateVisit $create,
        private PlanVisit $plan,
        private CommitUnmoved $commit,
        private ClosesDeferrals $closes,
        private LoseCards $lose,
        private CancelVisit $cancel,
        private Records $records,
    ) {}

    /**
     * @param list<SeasonVisitAsked> $asked
     *
     * @throws Refused where something does not hold, or is not as it was looked at
     */
    public function __invoke(Person $by, int $days, array $asked): SeasonKeptView
    {
        [$visits, $deferrals, $stands] = ($this->commit)(fn(): Closure => $this->ask($by, $days, $asked));
        // The first to come has the first choice of a base's people.
        usort($visits, static fn(Visit $a, Visit $b): int
            => [$a->start->number, $a->id] <=> [$b->start->number, $b->id]);
        foreach ($visits as $visit) {
            if (in_array($visit->id, $stands, true)) {
                continue;
            }
            ($this->plan)($visit, $by, 'planned with the season', rounds: self::ROUNDS);
        }
        $not = [];
        foreach ($deferrals as $deferral => $visit) {
            try {
                $this->closes->plan($by, $deferral, $visit);
            } catch (Refused $e) {
                $not[] = $e->getMessage();
            }
        }

        return new SeasonKeptView(
            trim(Words::count(count($visits), 'visit').' kept, with '.(count($visits) === 1 ? 'its' : 'their')
                .' cards and plans. '.implode(' ', $not)),
            array_map(static fn(Visit $v): int => $v->id, $visits),
        );
    }

    /**
     * @param list<SeasonVisitAsked> $asked
     *
     * @return Closure(): array{list<Visit>, array<int, int>, list<int>} visits, the visit of each deferral, and the
     *   visits whose plans stand: their days alone are others
     */
    private function ask(Person $by, int $days, array $asked): Closure
    {
        $ground = $this->load->of($days, $asked);
        $laid = array_column($ground->laid, 'items', 'id');
        foreach ($asked as $visit) {
            foreach (array_diff($visit->items, $laid[$visit->id] ?? []) as $id) {
                [$mark, $key] = explode('|', $id) + [1 => ''];
                throw Refused::stale(
                    'Something of '.($ground->lines[$id]->title ?? "item {$key}")
                        ." of {$mark} is in a visit by now, or no "
                        .'longer due. The season is shown as it is; nothing was kept.',
                    $id,
                );
            }
        }
        $season = $this->show->of($ground);
        $this->requireHolds($season);
        $blocks = array_filter($season->visits, static fn(SeasonBlock $b): bool => $b->changed);
        $kept = Visit::with(['aircraft.type', 'cards.steps', 'cards.item', 'plan'])
            ->findMany(array_column($blocks, 'visit'))->keyBy('id');
        $makes = $stands = [];
        foreach ($blocks as $block) {
            $visit = $block->visit === null ? null : $kept[$block->visit] ?? throw Refused::stale(
                "{$block->mark}, {$block->title} is not there any more. The season is shown as it is; nothing was "
                    .'kept.',
                $block->id,
            );
            $makes[] = match (true) {
                $visit === null => $this->made($by, $ground, $block),
                $block->gone => $this->gone($by, $visit),
                default => $this->changed($by, $ground, $block, $visit),
            };
            if ($visit !== null && self::keepsPlan($ground, $block, $visit)) {
                $stands[] = $visit->id;
            }
        }

        return function () use ($by, $makes, $stands, $days): array {
            $visits = $deferrals = [];
            // What leaves a visit goes before it comes into another.
            foreach ($makes as [, , $lose]) {
                $lose();
            }
            foreach ($makes as [$make, $closes]) {
                $visit = $make();
                if ($visit !== null) {
                    $visits[] = $visit;
                    $deferrals += array_fill_keys($closes, $visit->id);
                }
            }
            // What was proposed for it is in it, or is given up.
            SeasonRun::where('person_id', $by->id)->where('state', PlanRunState::Done)->delete();
            $this->records->write($by, 'season.kept', 'season', [
                'days' => $days, 'visits' => array_map(static fn(Visit $v): int => $v->id, $visits),
            ]);

            return [$visits, $deferrals, $stands];
        };
    }

    private function requireHolds(SeasonView $season): void
    {
        foreach ($season->visits as $block) {
            if ($block->changed && $block->problems !== []) {
                throw Refused::because("{$block->mark}, {$block->title}: {$block->problems[0]} Nothing was kept.");
            }
        }
        if (! $season->mayKeep) {
            throw Refused::because("{$season->why} Nothing was kept.");
        }
    }

    /** Whether of a kept visit no more than its last day is another: its plan is as good as before. */
    private static function keepsPlan(SeasonGround $ground, SeasonBlock $block, Visit $visit): bool
    {
        $is = array_column($block->items, 'id');
        $holds = $ground->holds[$block->id];

        return array_diff($is, $holds) === [] && array_diff($holds, $is) === []
            && $visit->planStands($ground->places->places[$block->bay]->called(), Day::parse($block->start));
    }

    /** @return array{Closure(): ?Visit, list<int>, Closure(): void} what makes it, what it closes, what goes first */
    private function made(Person $by, SeasonGround $ground, SeasonBlock $block): array
    {
        [$keys, $deferrals] = self::what($ground, array_column($block->items, 'id'));
        $place = $ground->places->places[$block->bay];
        $make = $this->create->judged($by, $ground->pages[$block->mark], new NewVisit(
            $block->mark,
            $block->title,
            $place->called(),
            Day::parse($block->start),
            Day::parse($block->end),
            $keys,
        ));

        return [static function () use ($make, $place, $block): Visit {
            self::takeFree($place->bay?->id, $block);

            return $make();
        }, $deferrals, static fn() => null];
    }

    /** @return array{Closure(): ?Visit, list<int>, Closure(): void} */
    private function gone(Person $by, Visit $visit): array
    {
        $this->lose->requireUntouched($visit->cards);

        return [static fn() => null, [], fn() => $this->cancel->end($by, $visit, 'the season was planned anew')];
    }

    /** @return array{Closure(): ?Visit, list<int>, Closure(): void} */
    private function changed(Person $by, SeasonGround $ground, SeasonBlock $block, Visit $visit): array
    {
        $is = array_column($block->items, 'id');
        $holds = $ground->holds[$block->id];
        [$keys, $deferrals] = self::what($ground, array_values(array_diff($is, $holds)));
        $out = self::cards($visit, ...self::what($ground, array_values(array_diff($holds, $is))));
        $this->lose->requireUntouched($out);
        $page = $ground->pages[$block->mark];
        $fill = $keys === [] ? null : $this->create->judgedMore($by, $page, $visit, $keys);
        $place = $ground->places->places[$block->bay];

        return [function () use ($by, $visit, $page, $fill, $place, $block): Visit {
            $this->move($by, $visit, $place, $block);
            $visit->setRelation('aircraft', $page->aircraft);

            return $fill === null ? $visit : $fill();
        }, $deferrals, function () use ($by, $visit, $out): void {
            if ($out->isNotEmpty()) {
                FloorCount::up($visit->aircraft_id);
                $this->lose->drop($out);
                $this->lose->tidy($visit);
                $this->records->write($by, 'visit.taken_out', "visit:{$visit->id}", [
                    'cards' => $out->map(static fn(Card $c): string => "{$c->number} {$c->title}")->all(),
                    'why' => 'the season was planned anew',
                ]);
            }
        }];
    }

    private function move(Person $by, Visit $visit, SeasonPlace $place, SeasonBlock $block): void
    {
        $to = ['bay' => $place->called(), 'start' => $block->start, 'end' => $block->end];
        $was = ['bay' => $visit->bay, 'start' => (string) $visit->start, 'end' => (string) $visit->end];
        if ($to !== $was) {
            self::takeFree($place->bay?->id, $block);
            FloorCount::up($visit->aircraft_id);
            $visit->update($to);
            $this->records->write($by, 'visit.moved', "visit:{$visit->id}", [
                'aircraft' => $block->mark, 'was' => $was, 'is' => $to,
            ]);
        }
    }

    /**
     * The cards of a visit for some due rows, with their sets, and for the closing of some deferrals.
     *
     * @param list<string> $keys
     * @param list<int> $deferrals
     *
     * @return Collection<int, Card>
     */
    private static function cards(Visit $visit, array $keys, array $deferrals): Collection
    {
        $closing = $deferrals === [] ? collect() : DeferralCard::whereIn('deferral_id', $deferrals)->get()->filter(
            static fn(DeferralCard $c): bool => $c->stage() !== null,
        )->pluck('card_id');

        return $visit->cards->filter(static fn(Card $c): bool => $closing->contains($c->id) || $c->item_id !== null
            && in_array(ItemNow::keyOf($c->item_id, $c->component_id), $keys, true))->values();
    }

    /**
     * @param list<string> $ids of lines
     *
     * @return array{list<string>, list<int>} keys of due rows, and deferrals
     */
    private static function what(SeasonGround $ground, array $ids): array
    {
        $lines = array_map(static fn(string $id): SeasonLine => $ground->lines[$id], $ids);
        $due = array_filter($lines, static fn(SeasonLine $l): bool => $l->deferral() === null);

        return [
            array_values(array_map(static fn(SeasonLine $l): string => $l->key, $due)),
            array_values(
                array_filter(array_map(static fn(SeasonLine $l): ?int => $l->deferral(), $lines), is_int(...)),
            ),
        ];
    }

    /** What of a bay's free stretches a visit stands on is no longer free. */
    private static function takeFree(?int $bay, SeasonBlock $block): void
    {
        $slots = $bay === null ? [] : BaySlot::where('bay_id', $bay)->where('start', '<=', $block->end)
            ->where('end', '>=', $block->start)->get();
        foreach ($slots as $slot) {
            $slot->leaveRest(Day::parse($block->start), Day::parse($block->end));
        }
    }
}
