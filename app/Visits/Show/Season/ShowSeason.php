<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Fleet\Model\Sector;
use App\Fleet\Show\DuePage;
use App\Now\VisitDoubts;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\BayClosure;
use App\Visits\SeasonWords;
use App\Visits\Show\View\SeasonAircraft;
use App\Visits\Show\View\SeasonBayView;
use App\Visits\Show\View\SeasonBlock;
use App\Visits\Show\View\SeasonClosed;
use App\Visits\Show\View\SeasonFigure;
use App\Visits\Show\View\SeasonFleet;
use App\Visits\Show\View\SeasonNeed;
use App\Visits\Show\View\SeasonView;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\Laid\LaidMend;
use Jorvel\Core\Visits\Season\Laid\LaidSeason;
use Jorvel\Core\Visits\Season\Laid\LaidTrouble;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\SeasonBay;

/** A season as somebody has laid it, judged; or mended with the least change. */
final readonly class ShowSeason
{
    /** Days short of people that are named. */
    private const NAMED = 5;

    public function __construct(private LoadSeason $load, private Clock $clock, private VisitDoubts $doubts) {}

    /** @param list<SeasonVisitAsked> $asked */
    public function judge(int $days, array $asked): SeasonView
    {
        return $this->of($this->load->of($days, $asked));
    }

    /** @param list<SeasonVisitAsked> $asked */
    public function mend(int $days, array $asked): SeasonView
    {
        $ground = $this->load->of($days, $asked);
        $by = array_column($ground->laid, null, 'id');
        $laid = LaidMend::of($ground->given, $ground->laid, $ground->pinned());
        $again = [];
        $moved = [];
        foreach ($laid as $visit) {
            $was = $by[$visit->id] ?? null;
            $lines = array_map(static fn(string $id): SeasonLine => $ground->lines[$id], $visit->items);
            $title = $ground->says[$visit->id]['title'] ?? SeasonWords::title($lines);
            $pinned = $ground->says[$visit->id]['pinned'] ?? false;
            $again[] = SeasonVisitAsked::from($visit, $title, $pinned);
            if ($was === null) {
                $moved[] = "{$visit->aircraft}: a new visit from {$this->clock->words($visit->start)}, {$title}.";
            } elseif (! $visit->same($was)) {
                $moved[] = SeasonWords::moved(
                    "{$visit->aircraft} {$title}",
                    $was,
                    $ground->places->places[$was->bay]->name,
                    $visit,
                    $ground->places->places[$visit->bay]->name,
                    $this->clock->words(...),
                );
            }
        }

        foreach ($by as $id => $was) {
            if (! in_array($id, array_column($laid, 'id'), true) && isset($ground->kept[$id])) {
                $again[] = SeasonVisitAsked::from($was->holding([]), $ground->says[$id]['title'], false);
                $moved[] = "{$was->aircraft} {$ground->says[$id]['title']}: given up, what was in it goes elsewhere.";
            }
        }
        foreach ($ground->gone as $gone) {
            $again[] = SeasonVisitAsked::from($gone, $ground->says[$gone->id]['title'], false);
        }

        return $this->of($this->load->of($days, $again), $moved);
    }

    /** @param list<string> $moved what a mending moved */
    public function of(SeasonGround $ground, array $moved = []): SeasonView
    {
        $is = LaidSeason::judge($ground->given, $ground->laid);
        $short = $this->short($ground, $is);
        $left = array_map(fn(array $f): array => array_map(
            static fn(int $n): int => count($f['aircraft']) - $is->down($f['aircraft'], $ground->today->number + $n),
            range(0, $ground->days - 1),
        ), $ground->fleets);
        $titles = [];
        foreach ($ground->laid as $visit) {
            $titles[$visit->id] = "{$visit->aircraft}, {$ground->says[$visit->id]['title']}";
        }
        $blocks = [
            ...array_map(fn(LaidVisit $v): SeasonBlock => $this->block($ground, $is, $v, $left, $titles), $is->visits),
            ...array_map(fn(LaidVisit $v): SeasonBlock => $this->gone($ground, $v), $ground->gone),
        ];
        $changed = count(array_filter($blocks, static fn(SeasonBlock $b): bool => $b->changed));
        $wrong = array_filter($blocks, static fn(SeasonBlock $b): bool => $b->changed && $b->problems !== []);
        $late = count(array_filter($is->visits, static fn(LaidVisit $v): bool => ! $v->stands
            && $v->overruns() !== null));
        $open = array_map(fn(string $id): SeasonNeed => $this->need($ground, $is, $ground->lines[$id]), $is->open);

        return new SeasonView(
            (string) $ground->today,
            $ground->days,
            $ground->pages->isEmpty() ? SeasonWords::NOBODY : SeasonWords::sentence(
                $ground->days,
                count($is->troubles),
                count($open),
                count($is->standing),
                count($is->visits),
                $changed,
                $late,
            ),
            match (true) {
                $is->troubles !== [] => 'stop',
                $open !== [] || $short !== [] || $late > 0 => 'watch',
                default => 'clear',
            },
            $is->troubles !== [] || $late > 0,
            $changed > 0 && $wrong === [],
            match (true) {
                $changed === 0 => 'Nothing is changed.',
                $wrong !== [] => 'What does not hold cannot be kept.',
                default => null,
            },
            self::figures($is, count($is->visits)),
            array_values($ground->pages->map(fn(DuePage $p): SeasonAircraft => $this->aircraft($ground, $p))->all()),
            array_map(fn(SeasonBay $b): SeasonBayView => self::bay($ground, $is, $b), $ground->places->bays),
            array_map(static fn(array $f, array $l): SeasonFleet => new SeasonFleet(
                $f['fleet']->name,
                count($f['aircraft']),
                $f['needs'],
                $l,
            ), $ground->fleets, $left),
            $blocks,
            $open,
            $is->standing,
            $short,
            $moved,
        );
    }

    /**
     * @param list<list<int>> $left aircraft by fleet and day
     * @param array<string, string> $titles by visit
     */
    private function block(
        SeasonGround $ground,
        LaidSeason $is,
        LaidVisit $visit,
        array $left,
        array $titles,
    ): SeasonBlock {
        $kept = $ground->kept[$visit->id] ?? null;
        $free = $is->free[$visit->id];
        $problems = array_map(fn(LaidTrouble $t): string => SeasonWords::trouble(
            $t,
            $ground->aircraft($visit->aircraft),
            $ground->places->places[$visit->bay],
            $t->item === null ? null : $ground->lines[$t->item],
            $titles[$t->other ?? ''] ?? '',
            $free,
            $this->clock->words(...),
        ), $is->troubles[$visit->id] ?? []);
        $changed = $kept === null || ! $visit->stands && (
            array_diff($visit->items, $ground->holds[$visit->id]) !== []
            || array_diff($ground->holds[$visit->id], $visit->items) !== []
            || SeasonPlace::of($kept) !== $visit->bay || $kept->start->number !== $visit->start->number
            || $kept->end->number !== $visit->end->number
        );
        $notes = $this->notes($ground, $visit, $left, $changed);

        return new SeasonBlock(
            $visit->id,
            $kept?->id,
            $visit->aircraft,
            $visit->bay,
            (string) $visit->start,
            (string) $visit->end,
            $ground->today->daysUntil($visit->start),
            $ground->today->daysUntil($visit->end),
            $ground->says[$visit->id]['title'],
            $ground->says[$visit->id]['pinned'],
            $visit->stands,
            $changed,
            round($is->hours[$visit->id], 1),
            round($free, 1),
            $visit->own,
            match (true) {
                $problems !== [] => 'stop', $notes !== [] => 'watch', default => 'clear',
            },
            array_map(
                fn(string $id): SeasonNeed => $this->need($ground, $is, $ground->lines[$id], $visit),
                $visit->items,
            ),
            $problems,
            $notes,
            false,
        );
    }

    /** A kept visit that is given up as it is laid. */
    private function gone(SeasonGround $ground, LaidVisit $visit): SeasonBlock
    {
        return new SeasonBlock(
            $visit->id,
            $ground->kept[$visit->id]->id,
            $visit->aircraft,
            $visit->bay,
            (string) $visit->start,
            (string) $visit->end,
            $ground->today->daysUntil($visit->start),
            $ground->today->daysUntil($visit->end),
            $ground->says[$visit->id]['title'],
            false,
            false,
            true,
            0.0,
            0.0,
            0.0,
            'clear',
            [],
            [],
            ['Nothing is left in it: it is cancelled when this is kept.'],
            true,
        );
    }

    /**
     * What a visit costs others: flights on its days, a fleet with too few left.
     *
     * @param list<list<int>> $left
     *
     * @return list<string>
     */
    private function notes(SeasonGround $ground, LaidVisit $visit, array $left, bool $changed): array
    {
        $kept = $ground->kept[$visit->id] ?? null;
        $notes = array_values(array_filter([
            $ground->places->places[$visit->bay]->bay?->washes === true ? null : $this->doubts->flights(
                $ground->aircraft($visit->aircraft)->sectors,
                $visit->start,
                $visit->end,
            ),
            match (true) {
                $kept === null => null,
                ! $changed => $this->doubts->late($kept) ?? $this->doubts->idle($kept),
                default => SeasonWords::overruns($visit, $this->clock->words(...)),
            },
        ]));
        $type = $ground->aircraft($visit->aircraft)->type->code;
        $place = $ground->places->places[$visit->bay];
        foreach ($visit->items as $id) {
            $line = $ground->lines[$id];
            $lacks = $ground->places->lacks($place, $type, $line->needs);
            if ($lacks !== null) {
                $notes[] = SeasonWords::lacks($line, $place, ...$lacks);
            }
            if ($line->comes !== null && $line->comes->number > $visit->start->number) {
                $notes[] = "{$line->code} {$line->title} waits for {$line->waits}, which comes on "
                    ."{$this->clock->words($line->comes)}.";
            }
        }
        foreach ($ground->fleets as $f => $fleet) {
            if ($fleet['needs'] === null || ! in_array($visit->aircraft, $fleet['aircraft'], true)) {
                continue;
            }
            for ($d = $visit->start->number; $d <= $visit->end->number; $d++) {
                $n = $left[$f][$d - $ground->today->number] ?? null;
                if ($n !== null && $n < $fleet['needs']) {
                    $notes[] = "On {$this->clock->words(Day::fromNumber($d))} {$n} of {$fleet['fleet']->name} are left"
                        .", {$fleet['needs']} are needed for its flying.";
                    break;
                }
            }
        }

        return $notes;
    }

    private function need(SeasonGround $ground, LaidSeason $is, SeasonLine $line, ?LaidVisit $in = null): SeasonNeed
    {
        $latest = $is->latest[$line->id()];

        return new SeasonNeed(
            $line->id(),
            $line->item->aircraft,
            $line->code,
            $line->title.($line->n === 0 ? '' : ', again'),
            (string) $latest,
            $ground->today->daysUntil($latest),
            $line->item->is->hours,
            $in === null ? null : SeasonWords::lost($in->start->daysUntil($latest), $line->item->is->interval),
            $in !== null ? null : match (true) {
                $line->comes !== null && $line->comes->number > $latest->number => "waits for {$line->waits}",
                $latest->number < $ground->today->number => 'overdue',
                $latest->number <= $ground->today->number + 1 => 'its last day is '
                    .($latest->number === $ground->today->number ? 'today' : 'tomorrow'),
                default => null,
            },
        );
    }

    /** @return list<SeasonFigure> */
    private static function figures(LaidSeason $is, int $visits): array
    {
        $standing = count($is->standing);

        return [
            new SeasonFigure('aircraft stand in the end', (string) $standing, $standing === 0 ? 'clear' : 'stop'),
            new SeasonFigure(
                'items without a visit',
                number_format(count($is->open)),
                $is->open === [] ? 'clear' : 'watch',
            ),
            new SeasonFigure('visits', number_format($visits), 'clear'),
            new SeasonFigure('days in visits', number_format($is->days), 'clear'),
            new SeasonFigure('days of life given up', number_format($is->early), 'clear'),
            new SeasonFigure('hours that it costs', number_format($is->cost), 'clear'),
        ];
    }

    private function aircraft(SeasonGround $ground, DuePage $page): SeasonAircraft
    {
        $aircraft = $page->aircraft;

        return new SeasonAircraft(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->base,
            $aircraft->fleet->name,
            array_values($aircraft->sectors->map(
                static fn(Sector $s): int => $ground->today->daysUntil($s->date),
            )->filter(static fn(int $n): bool => $n >= 0 && $n < $ground->days)->unique()->all()),
        );
    }

    private static function bay(SeasonGround $ground, LaidSeason $is, SeasonBay $bay): SeasonBayView
    {
        $place = $ground->places->places[$bay->id];
        $days = array_map($ground->today->plusDays(...), range(0, $ground->days - 1));

        return new SeasonBayView(
            $bay->id,
            $place->name,
            $place->base,
            $place->bay?->id,
            SeasonWords::places($bay),
            $bay->outside,
            array_values($ground->pages->keys()->filter($bay->fits(...))->all()),
            array_map(static fn(Day $d): float => round($is->worked[$bay->id][$d->number] ?? 0.0, 1), $days),
            array_map(static fn(Day $d): float => $bay->hours($d) * $bay->atOnce, $days),
            array_values(($place->bay->closures ?? collect())->map(static fn(BayClosure $c): SeasonClosed
                => new SeasonClosed(
                    $c->id,
                    $ground->today->daysUntil($c->start),
                    $ground->today->daysUntil($c->end),
                    $c->why,
                ))->filter(static fn(SeasonClosed $c): bool => $c->to >= 0)->all()),
        );
    }

    /**
     * Days on which a base has not the people for what its places are to work.
     *
     * @return list<string>
     */
    private function short(SeasonGround $ground, LaidSeason $is): array
    {
        $short = [];
        $more = 0;
        foreach ($ground->places->people as $base => $people) {
            $there = array_filter($ground->places->places, static fn(SeasonPlace $p): bool => $p->base === $base);
            foreach ($is->short(array_keys($there), $people) as $day => $worked) {
                if (count($short) < self::NAMED) {
                    $short[] = "{$base} on {$this->clock->words(Day::fromNumber($day))}: ".Words::number($worked)
                        .' h of work, '.Words::number($people[$day]).' h of people.';
                } else {
                    $more++;
                }
            }
        }

        return $more === 0 ? $short : [...$short, 'And '.Words::count($more, 'more day').'.'];
    }
}
