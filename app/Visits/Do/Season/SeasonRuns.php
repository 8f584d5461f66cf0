<?php

declare(strict_types=1);

namespace App\Visits\Do\Season;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\SeasonRun;
use App\Visits\SeasonWords;
use App\Visits\Show\Season\LoadSeason;
use App\Visits\Show\Season\SeasonGround;
use App\Visits\Show\Season\SeasonLine;
use App\Visits\Show\Season\SeasonVisitAsked;
use App\Visits\Show\View\SeasonLaidView;
use App\Visits\Show\View\SeasonRunView;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\Laid\LaidAgain;
use Jorvel\Core\Visits\Season\Laid\LaidMend;
use Jorvel\Core\Visits\Season\Laid\LaidSeason;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\SeasonChain;
use Jorvel\Core\Visits\Season\SeasonFixed;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;
use Jorvel\Core\Visits\Season\SeasonResult;

/**
 * Searches for a season, worked in the queue. What is pinned and what has begun stays where it is, what is kept unless
 * it may be moved, too; the rest is planned anew. What comes of it is a proposal of whoever asked: it changes nothing
 * until it is kept.
 */
final readonly class SeasonRuns
{
    /** Seconds without a word after which a run's worker is taken to be gone. */
    private const SILENT = 15;

    public function __construct(private Clock $clock, private LoadSeason $load) {}

    /**
     * @param list<SeasonVisitAsked> $asked
     * @param bool $anew whether kept visits may be moved, too
     * @param string|null $mark an aircraft: its visits alone are planned, all others stay
     *
     * @throws Refused while another one of theirs goes on
     */
    public function ask(
        Person $by,
        int $days,
        int $seconds,
        array $asked,
        bool $anew = false,
        ?string $mark = null,
    ): SeasonRun {
        $run = DB::transaction(function () use ($by, $days, $seconds, $asked, $anew, $mark): SeasonRun {
            if (SeasonRun::where('person_id', $by->id)->whereIn('state', PlanRunState::GOES_ON)->exists()) {
                throw Refused::because('A season of yours is being planned already. Wait for it, or cancel it first.');
            }

            return SeasonRun::create([
                'person_id' => $by->id, 'state' => PlanRunState::Waiting, 'days' => $days, 'seconds' => $seconds,
                'seed' => 1, 'asked_at' => (string) $this->clock->now(), 'share' => 0.0, 'anew' => $anew,
                'mark' => $mark,
                'asked' => array_map(static fn(SeasonVisitAsked $v): SeasonLaidView => $v->sent(), $asked),
            ]);
        });
        SeasonJob::dispatch($run->id);

        return $run;
    }

    public function cancel(Person $by, int $id): void
    {
        SeasonRun::whereKey($id)->where('person_id', $by->id)->whereIn('state', PlanRunState::GOES_ON)->update([
            'state' => PlanRunState::Cancelled,
            'ended_at' => (string) $this->clock->now(),
            'message' => 'Cancelled. What was laid is as it was.',
        ]);
    }

    /** In the worker. */
    public function work(int $id): void
    {
        $run = SeasonRun::find($id);
        if ($run === null || ! $run->state->goesOn()) {
            return;
        }
        $run->update(['state' => PlanRunState::Running, 'beat_at' => (string) $this->clock->now()]);
        $ground = $this->load->of($run->days, array_map(SeasonVisitAsked::read(...), $run->asked));
        $stay = $were = [];
        foreach ($ground->laid as $visit) {
            $kept = isset($ground->kept[$visit->id]);
            // What is in it beside the season's items is its own: that goes nowhere else.
            $other = $run->mark !== null && $visit->aircraft !== $run->mark;
            if ($other || $ground->says[$visit->id]['pinned'] || $kept && (! $run->anew || $visit->own > 0)) {
                $stay[] = $visit;
            } elseif ($kept) {
                $were[] = $visit;
            }
        }
        $heard = hrtime(true);
        $tell = function (float $share) use ($run, &$heard): bool {
            if (hrtime(true) - $heard < 400_000_000) {
                return true;
            }
            $heard = hrtime(true);

            return SeasonRun::whereKey($run->id)->where('state', PlanRunState::Running)
                ->update(['share' => $share, 'beat_at' => (string) $this->clock->now()]) === 1;
        };
        $plan = SeasonChain::plan(self::given($ground, $stay, $run->mark), $run->seconds * 1000, $run->seed, $tell);
        $visits = self::laid($ground, $stay, [...$were, ...$ground->gone], $plan);
        $open = count($plan->standing);
        SeasonRun::whereKey($run->id)->where('state', PlanRunState::Running)->update([
            'state' => PlanRunState::Done,
            'share' => 1.0,
            'ended_at' => (string) $this->clock->now(),
            'message' => 'Proposed: '.Words::count(count($plan->visits), 'visit').match (true) {
                $open === 0 => ', and everything that can be has one.',
                $open === 1 => '; one aircraft would stand in the end.',
                default => "; {$open} aircraft would stand in the end.",
            },
            'result' => json_encode($visits, JSON_THROW_ON_ERROR),
        ]);
    }

    /**
     * What is to be planned, beside what stays.
     *
     * @param list<LaidVisit> $stay
     */
    private static function given(SeasonGround $ground, array $stay, ?string $mark): SeasonGiven
    {
        $judged = LaidSeason::judge($ground->given, $stay);
        // Nothing is proposed for today but what would be overdue tomorrow, and nothing before its parts are there.
        $tomorrow = $ground->today->plusDays(1)->number;
        $items = array_map(static function (SeasonItem $i) use ($ground, $tomorrow): SeasonItem {
            $from = max($tomorrow, $ground->lines[$i->is->id]->comes->number ?? 0, $i->is->earliest->number);

            return $i->between(Day::fromNumber(min($from, $i->is->latest->number)), $i->is->latest);
        }, array_values(array_filter(
            $judged->left,
            static fn(SeasonItem $i): bool => $mark === null || $i->aircraft === $mark,
        )));

        return $ground->given->with($items, LaidMend::apart(array_map(
            static fn(LaidVisit $v): SeasonFixed => $v->standing($judged),
            $stay,
        ), $ground->given));
    }

    /**
     * @param list<LaidVisit> $stay
     * @param list<LaidVisit> $were kept visits that may be moved
     *
     * @return list<SeasonLaidView>
     */
    private static function laid(SeasonGround $ground, array $stay, array $were, SeasonResult $plan): array
    {
        $more = array_column($plan->fixed, 'items', 'id');
        $out = [];
        $n = 0;
        foreach ($stay as $visit) {
            $says = $ground->says[$visit->id];
            $is = $visit->holding([...$visit->items, ...$more[$visit->id] ?? []]);
            $out[] = SeasonVisitAsked::from($is, $says['title'], $says['pinned'])->sent();
            $n = max($n, str_starts_with($visit->id, 'new-') ? (int) substr($visit->id, 4) : 0);
        }
        $again = LaidAgain::of($were, $plan->visits);
        foreach ($were as $visit) {
            if (! in_array($visit->id, $again, true)) {
                $out[] = SeasonVisitAsked::from($visit->holding([]), $ground->says[$visit->id]['title'], false)->sent();
            }
        }
        foreach ($plan->visits as $i => $visit) {
            $out[] = new SeasonLaidView(
                $again[$i] ?? 'new-'.++$n,
                $visit['aircraft'],
                $visit['bay'],
                $visit['start'],
                $visit['end'],
                $visit['items'],
                false,
                isset($again[$i]) ? $ground->says[$again[$i]]['title'] : SeasonWords::title(array_map(
                    static fn(string $id): SeasonLine => $ground->lines[$id],
                    $visit['items'],
                )),
                0.0,
            );
        }

        return $out;
    }

    /** The last search that somebody asked for, in words. */
    public function latest(Person $by): ?SeasonRunView
    {
        $run = SeasonRun::where('person_id', $by->id)->orderByDesc('id')->first();
        if ($run === null) {
            return null;
        }
        $silent = $run->beat_at === null ? 0 : $this->clock->now()->epoch() - $run->beat_at->epoch();

        return new SeasonRunView(
            $run->id,
            $run->state->value,
            $run->message ?? match (true) {
                $run->state === PlanRunState::Waiting => 'Waiting for the planner.',
                $silent > self::SILENT => "Not heard of for {$silent} s. It begins again by itself; nothing is lost.",
                default => "Planning {$run->days} days.",
            },
            $run->days,
            $run->seconds,
            $run->share,
            ! $run->state->goesOn(),
            array_map(
                static fn(array $v): SeasonLaidView => SeasonVisitAsked::read($v)->sent(),
                $run->state === PlanRunState::Done ? $run->result ?? [] : [],
            ),
        );
    }
}
