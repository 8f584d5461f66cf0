<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Now\LoadVisit;
use App\Now\VisitDoubts;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Do\PlanRuns;
use App\Visits\Model\Visit;
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
use App\Visits\VisitWords;
use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Visits\Configured;
use Jorvel\Core\Visits\Leaves;
use Jorvel\Core\Visits\PeopleUse;
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
        private LoadVisit $load,
        private ShowShortages $shortages,
        private PlanRuns $runs,
        private VisitDoubts $doubts,
    ) {}

    public function one(int $id): BoardView
    {
        return $this->of($this->query($id));
    }

    public function query(int $id): Visit
    {
        return Visit::with([
            ...LoadVisit::WITH, 'cards.waitsFor:id,number', 'cards.parts', 'cards.assignments.person',
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
        $v = $this->load->of($visit);
        $hours = $v->hours;
        $short = $this->shortages->of($visit, $visit->cards);
        $views = [];
        foreach ($visit->cards as $i => $card) {
            if ($v->cards[$i]->from() !== null) {
                $views[] = $this->card($card, $v->cards[$i], $hours, $short[$card->id] ?? []);
            }
        }
        $now = $this->clock->now();
        $leaves = Leaves::of($v, $now, $this->clock->zone());
        $last = max([
            1.0,
            ...array_map(static fn(BoardCard $c): float => $c->to, $views),
            $hours->place($v->must),
            $hours->place($now),
        ]);
        $slots = ceil($last + 2);
        $lacking = array_filter($short);
        $raised = Configured::raised($v);

        return new BoardView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            $visit->bay,
            $visit->state->value,
            VisitWords::leaves($visit->aircraft->mark, $v, $leaves, $this->clock->local(...)),
            $leaves->state->value,
            $visit->plan->version ?? 0,
            $slots,
            $now->isBefore($hours->begins(0)) ? null : $hours->place($now),
            $leaves->exit === null ? null : new BoardMark(
                $hours->place($leaves->exit),
                'leaves '.$this->clock->local($leaves->exit),
            ),
            new BoardMark($hours->place($v->must), 'must leave '.$this->clock->words($v->end)),
            $v->problem,
            trim($this->doubts->closed($visit).' '
                .($raised === null ? '' : VisitWords::onJacks(...[...$raised, $this->clock->local(...)]))),
            $this->days($hours, (int) $slots),
            $this->bands($v),
            $this->zones($views),
            $this->people($v, (int) $slots),
            array_map(
                static fn(int $id, array $words): string
                    => $visit->cards->firstOrFail('id', $id)->number.': '.implode(' ', $words),
                array_keys($lacking),
                $lacking,
            ),
            $moved,
            $effect,
            $sooner,
            $this->runs->latest($visit->id),
        );
    }

    /** @param list<string> $lacks */
    private function card(Card $card, CardInVisit $in, WorkHours $hours, array $lacks): BoardCard
    {
        $from = $in->from() ?? $this->clock->now();
        $to = $in->to() ?? $from;
        $slack = $in->latest === null || $in->planned === null || $in->worked()
            ? null
            : $hours->hours($hours->at($in->latest) - $hours->at($in->planned));
        $a = $hours->place($from);

        return new BoardCard(
            $card->id,
            $card->number,
            $card->title,
            $in->stage->value,
            $card->state->value,
            $card->zone,
            $a,
            max($a + 0.25, $hours->place($to)),
            0,
            $in->chain && ! $in->worked(),
            $in->behind($this->clock->now()),
            $this->clock->local($from).' to '
                .($from->dayIn($this->clock->zone())->number === $to->dayIn($this->clock->zone())->number
                    ? $this->clock->time($to)
                    : $this->clock->local($to)),
            implode(
                ', ',
                array_map(
                    static fn(string $skill, int $many): string => "{$many} {$skill}",
                    array_keys($in->needs),
                    $in->needs,
                ),
            ).', '.Words::number($in->hours).' h',
            array_map(strval(...), array_keys($in->needs)),
            array_values(
                $card->assignments->map(static fn(Assignment $a): string => $a->person->name)->unique()->all(),
            ),
            match (true) {
                $slack === null => '',
                $slack <= 0 => 'moves the exit when it slips',
                default => 'can slip '.Words::number($slack).' h',
            },
            $card->first
                ? 'put before others by the controller'
                : ($card->not_before === null
                    ? null
                    : 'not before '.$this->clock->local($card->not_before)),
            array_map(
                static fn(string $key, string $value): string => self::BANDS[$key][$value] ?? "{$key} {$value}",
                array_keys($in->configuration),
                $in->configuration,
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

    /** @return list<BoardBand> */
    private function bands(VisitNow $visit): array
    {
        return array_map(
            static fn(Configured $c): BoardBand => new BoardBand(
                "{$c->what}-{$c->how}",
                self::BANDS[$c->what][$c->how],
                array_map(static fn(array $span): BoardSpan => new BoardSpan(...$span), $c->spans),
            ),
            Configured::of($visit, array_map(array_keys(...), self::BANDS)),
        );
    }

    /** @return list<BoardPeople> skills that the visit needs */
    private function people(VisitNow $visit, int $slots): array
    {
        return array_map(static fn(PeopleUse $use): BoardPeople => new BoardPeople(
            $use->skill,
            $use->most,
            array_map(
                static fn(array $s): PeopleSpan => new PeopleSpan((float) $s[0], (float) $s[1], $s[2], $s[3]),
                $use->spans,
            ),
        ), PeopleUse::of($visit, $slots));
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
}
