<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Do\HangarHours;
use App\Visits\Do\PlanRuns;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use App\Visits\Show\View\BoardBand;
use App\Visits\Show\View\BoardCard;
use App\Visits\Show\View\BoardDay;
use App\Visits\Show\View\BoardMark;
use App\Visits\Show\View\BoardPeople;
use App\Visits\Show\View\BoardSpan;
use App\Visits\Show\View\BoardView;
use App\Visits\Show\View\BoardZone;
use App\Visits\Show\View\MovedCard;
use App\Visits\Show\View\PeopleSpan;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\WorkHours;

/** The board of a visit, as it is planned, or as it would be after a change that is not kept yet. */
final readonly class ShowBoard
{
    private const BANDS = [
        'jacks' => ['on' => 'on jacks', 'off' => 'on wheels'], 'power' => ['on' => 'powered', 'off' => 'power off'],
        'hydraulics' => [
            'on' => 'hydraulics on',
            'off' => 'hydraulics off',
        ], 'fuel' => ['open' => 'fuel open'], 'oxygen' => ['open' => 'oxygen open'],
    ];

    public function __construct(
        private Clock $clock,
        private HangarHours $hangar,
        private ShowShortages $shortages,
        private PlanRuns $runs,
    ) {}

    public function one(int $id): BoardView
    {
        return $this->of($this->query($id));
    }

    public function query(int $id): Visit
    {
        return Visit::with([
            'aircraft.type',
            'cards.steps:id,card_id,no,state',
            'cards.waitsFor:id,number',
            'cards.parts',
            'plan',
        ])->findOrFail($id);
    }

    /**
     * @param Visit $visit as {@see query()} loads it; its cards may carry times that are not saved
     * @param list<MovedCard> $moved by the change, if there is one
     * @param string|null $effect of the change on the exit
     * @param float $sooner hours by which the aircraft could leave sooner if the other cards closed up
     */
    public function of(Visit $visit, array $moved = [], ?string $effect = null, float $sooner = 0.0): BoardView
    {
        $plan = $visit->plan;
        $hours = $this->hours($visit);
        $cards = $visit->cards;
        $short = $this->shortages->of($visit, $cards);
        $placed = $cards->filter(static fn(Card $c): bool => ($c->begun_at ?? $c->planned_start) !== null);
        $views = array_values(
            $placed->map(fn(Card $c): BoardCard => $this->card($c, $hours, $short[$c->id] ?? []))->all(),
        );
        $exit = $this->exit($cards);
        $must = Instant::fromEpoch(Instant::firstAfter(
            Day::parse($visit->end),
            $this->clock->zone(),
        )->epoch() - 2 * 3600);
        $now = $this->clock->now();
        $last = max([
            1.0,
            ...array_map(static fn(BoardCard $c): float => $c->to, $views),
            $hours->place($must),
            $hours->place($now),
        ]);
        $slots = ceil($last + 2);
        $leaves = $this->leaves($visit, $exit, $must, $plan);
        $late = count(array_filter($views, static fn(BoardCard $c): bool => $c->late));
        if ($late > 0) {
            $leaves = [
                $leaves[0].' '.($late === 1 ? 'One card is' : "{$late} cards are")
                    .' behind it: search, and it is planned anew from now.',
                $leaves[1] === 'clear' ? 'watch' : $leaves[1],
            ];
        }
        $lacking = array_filter($short);

        return new BoardView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            $visit->bay,
            $visit->state,
            $leaves[0],
            $leaves[1],
            $plan->version ?? 0,
            $slots,
            $now->isBefore($hours->begins(0)) ? null : $hours->place($now),
            $exit === null ? null : new BoardMark($hours->place($exit), 'leaves '.$this->clock->local($exit)),
            new BoardMark($hours->place($must), 'must leave '.$this->clock->words(Day::parse($visit->end))),
            $plan?->problem(),
            $this->jacks($cards),
            $this->days($hours, (int) $slots),
            $this->bands($cards, $hours),
            $this->zones($views),
            $this->people($cards, $hours, (int) $slots),
            array_map(
                static fn(int $id, array $words): string
                    => $cards->firstOrFail('id', $id)->number.': '.implode(' ', $words),
                array_keys($lacking),
                $lacking,
            ),
            $moved,
            $effect,
            $sooner,
            $this->runs->latest($visit->id),
        );
    }

    /** The hours that its slots stand for: from the visit's first day on. */
    public function hours(Visit $visit): WorkHours
    {
        return $this->hangar->of(
            $visit,
            Instant::firstAfter(Day::parse($visit->start)->plusDays(-1), $this->clock->zone()),
        );
    }

    /**
     * When the last card is worked, or planned to be.
     *
     * @param Collection<int, Card> $cards
     */
    public function exit(Collection $cards): ?Instant
    {
        $ends = array_filter($cards->map(static fn(Card $c): ?string => $c->closed_at ?? $c->planned_end)->all());

        return $ends === [] || count($ends) < $cards->count() ? null : Instant::parse(max($ends));
    }

    /** @return array{string, string} the sentence, and its state */
    private function leaves(Visit $visit, ?Instant $exit, Instant $must, ?VisitPlan $plan): array
    {
        $mark = $visit->aircraft->mark;
        if ($plan?->problem() !== null) {
            return ["{$mark} has no plan: ".lcfirst($plan->problem()), 'stop'];
        }
        if ($exit === null) {
            return ["{$mark} has cards that are not planned yet. Plan it.", 'watch'];
        }
        $zone = $this->clock->zone();
        $spare = $exit->dayIn($zone)->daysUntil(Day::parse($visit->end));
        $when = $this->clock->local($exit);
        $open = $visit->cards->reject(static fn(Card $c): bool => $c->worked())->count();

        return match (true) {
            $open === 0 => ["Every card of {$mark} is worked; the last ended on {$when}.", 'clear'],
            $must->isBefore($exit) => [
                "{$mark} would leave on {$when}, "
                    .($spare === 0
                        ? 'later on the day than it must'
                        : Words::count(-$spare, 'day').' later than it must')
                    .'. Take work out, add people, or agree on a later day.',
                'stop',
            ],
            $spare <= 1 => [
                "{$mark} leaves on {$when}, ".($spare === 0 ? 'on its last day' : 'one day before it must')
                    .': nothing may slip.',
                'watch',
            ],
            default => ["{$mark} leaves on {$when}, ".Words::count($spare, 'day').' before it must.', 'clear'],
        };
    }

    /** @param list<string> $lacks */
    private function card(Card $card, WorkHours $hours, array $lacks): BoardCard
    {
        $from = Instant::parse((string) ($card->begun_at ?? $card->planned_start));
        $to = Instant::parse((string) ($card->closed_at ?? $card->planned_end ?? $card->begun_at));
        $now = $this->clock->now();
        $needs = $card->needs ?? [$card->skill => 1];
        $slack = $card->latest_start === null || $card->worked()
            ? null
            : $hours->hours($hours->at(Instant::parse($card->latest_start)) - $hours->at(
                Instant::parse((string) $card->planned_start),
            ));
        $a = $hours->place($from);

        return new BoardCard(
            $card->id,
            $card->number,
            $card->title,
            $card->phase,
            $card->state,
            $card->zone,
            $a,
            max($a + 0.25, $hours->place($to)),
            0,
            $card->on_chain && ! $card->worked(),
            ! $card->worked() && ($to->isBefore($now) || ($card->begun_at === null && $from->isBefore($now))),
            $this->clock->local($from).' to '
                .($from->dayIn($this->clock->zone())->number === $to->dayIn($this->clock->zone())->number
                    ? $this->clock->time($to)
                    : $this->clock->local($to)),
            implode(
                ', ',
                array_map(
                    static fn(string $skill, int $many): string => "{$many} {$skill}",
                    array_keys($needs),
                    $needs,
                ),
            ).', '.Words::number($card->hours).' h',
            match (true) {
                $card->worked() => '',
                $slack === null => '',
                $slack <= 0 => 'moves the exit when it slips',
                default => 'can slip '.Words::number($slack).' h',
            },
            $card->first
                ? 'put before others by the controller'
                : ($card->not_before === null
                    ? null
                    : 'not before '.$this->clock->local(Instant::parse($card->not_before))),
            array_map(
                static fn(string $key, string $value): string => self::BANDS[$key][$value] ?? "{$key} {$value}",
                array_keys($card->states ?? []),
                $card->states ?? [],
            ),
            $lacks,
            array_values($card->waitsFor->pluck('number')->all()),
        );
    }

    /**
     * @param list<BoardCard> $cards
     *
     * @return list<BoardZone> in the order of their first card, each card in the first lane that is free
     */
    private function zones(array $cards): array
    {
        usort($cards, static fn(BoardCard $a, BoardCard $b): int => $a->from <=> $b->from ?: $a->id <=> $b->id);
        $ends = $in = [];
        foreach ($cards as $card) {
            $lane = 0;
            while (($ends[$card->zone][$lane] ?? 0.0) > $card->from + 1e-9) {
                $lane++;
            }
            $ends[$card->zone][$lane] = $card->to;
            $in[$card->zone][] = new BoardCard(...[...get_object_vars($card), 'lane' => $lane]);
        }

        return array_map(
            static fn(string $zone): BoardZone => new BoardZone($zone, count($ends[$zone]), $in[$zone]),
            array_keys($in),
        );
    }

    /**
     * @param Collection<int, Card> $cards
     *
     * @return list<BoardBand>
     */
    private function bands(Collection $cards, WorkHours $hours): array
    {
        $bands = [];
        $lift = $cards->whereIn('makes', ['raise', 'lower'])->keyBy('makes');
        foreach (self::BANDS as $key => $values) {
            foreach ($values as $value => $title) {
                $spans = $cards->filter(
                    static fn(Card $c): bool
                        => ($c->states[$key] ?? null) === $value && ($c->begun_at ?? $c->planned_start) !== null,
                )
                    ->map(static fn(Card $c): array => [
                        $hours->place(Instant::parse((string) ($c->begun_at ?? $c->planned_start))),
                        $hours->place(Instant::parse((string) ($c->closed_at ?? $c->planned_end ?? $c->begun_at))),
                    ])
                    ->sortBy(static fn(array $span): float => $span[0])
                    ->values()
                    ->all();
                if ($key === 'jacks' && $value === 'on' && $lift->count() === 2) {
                    // Once raised it stays raised, whether or not somebody works on it.
                    $spans = [[
                        $hours->place(
                            Instant::parse((string) ($lift['raise']->begun_at ?? $lift['raise']->planned_start)),
                        ),
                        $hours->place(
                            Instant::parse((string) ($lift['lower']->closed_at ?? $lift['lower']->planned_end)),
                        ),
                    ]];
                }
                if ($spans !== []) {
                    $bands[] = new BoardBand("{$key}-{$value}", $title, self::joined($spans));
                }
            }
        }

        return $bands;
    }

    /**
     * @param list<array{float, float}> $spans by their beginning
     *
     * @return list<BoardSpan>
     */
    private static function joined(array $spans): array
    {
        $joined = [];
        foreach ($spans as [$from, $to]) {
            $last = count($joined) - 1;
            if ($last >= 0 && $from <= $joined[$last]->to + 1e-9) {
                $joined[$last] = new BoardSpan($joined[$last]->from, max($joined[$last]->to, $to));
            } else {
                $joined[] = new BoardSpan($from, $to);
            }
        }

        return $joined;
    }

    /**
     * @param Collection<int, Card> $cards
     *
     * @return list<BoardPeople> skills that the visit needs
     */
    private function people(Collection $cards, WorkHours $hours, int $slots): array
    {
        $there = $hours->people();
        $used = [];
        foreach ($cards as $card) {
            if (($card->begun_at ?? $card->planned_start) === null) {
                continue;
            }
            $from = (int) floor($hours->place(Instant::parse((string) ($card->begun_at ?? $card->planned_start))));
            $to = (int) ceil(
                $hours->place(
                    Instant::parse((string) ($card->closed_at ?? $card->planned_end ?? $card->begun_at)),
                ) - 1e-6,
            );
            foreach ($card->needs ?? [$card->skill => 1] as $skill => $many) {
                for ($slot = $from; $slot < $to; $slot++) {
                    if (($there[$skill][$slot] ?? 0) >= $many) {
                        $used[$skill][$slot] = ($used[$skill][$slot] ?? 0) + $many;
                    }
                }
            }
        }
        $people = [];
        foreach ($used as $skill => $at) {
            $spans = [];
            for ($slot = 0; $slot < $slots; $slot++) {
                [$now, $in] = [$at[$slot] ?? 0, $there[$skill][$slot] ?? 0];
                $last = count($spans) - 1;
                if ($last >= 0 && $spans[$last]->used === $now && $spans[$last]->there === $in) {
                    $spans[$last] = new PeopleSpan($spans[$last]->from, $slot + 1.0, $now, $in);
                } else {
                    $spans[] = new PeopleSpan((float) $slot, $slot + 1.0, $now, $in);
                }
            }
            $people[] = new BoardPeople(
                (string) $skill,
                max([1, ...array_map(static fn(PeopleSpan $s): int => max($s->there, $s->used), $spans)]),
                $spans,
            );
        }

        return $people;
    }

    /** @return list<BoardDay> */
    private function days(WorkHours $hours, int $slots): array
    {
        $days = [];
        $from = 0;
        $zone = $this->clock->zone();
        $at = $hours->begins(0)->dayIn($zone);
        for ($slot = 1; $slot <= $slots; $slot++) {
            $day = $slot === $slots ? null : $hours->begins($slot)->dayIn($zone);
            if ($day?->number !== $at->number) {
                $days[] = new BoardDay((float) $from, (float) $slot, (string) $at, $this->clock->words($at));
                [$from, $at] = [$slot, $day ?? $at];
            }
        }

        return $days;
    }

    /** @param Collection<int, Card> $cards */
    private function jacks(Collection $cards): string
    {
        $lift = $cards->whereIn('makes', ['raise', 'lower'])->keyBy('makes');
        $from = $lift->get('raise')->begun_at ?? $lift->get('raise')?->planned_start;
        $until = $lift->get('lower')->closed_at ?? $lift->get('lower')?->planned_end;
        if ($from === null || $until === null) {
            return '';
        }
        $hours = (Instant::parse($until)->epoch() - Instant::parse($from)->epoch()) / 3600;

        return 'On jacks '.($hours < 36 ? Words::number($hours).' h' : Words::number($hours / 24).' days').', from '
            .$this->clock->local(Instant::parse($from)).' to '.$this->clock->local(Instant::parse($until)).'.';
    }
}
