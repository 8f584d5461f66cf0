<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Crew\Show\View\HitView;
use App\Crew\Show\View\LapseView;
use App\Crew\Show\View\QualificationView;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;

/** What somebody holds and how long it stands, what they lack or will lack, and which planned cards that hits. */
final readonly class Lapses
{
    public function __construct(private Clock $clock) {}

    /**
     * @param list<int>|null $people whose; everybody's where null
     *
     * @return Collection<int, Collection<int, Assignment>> what each is assigned to and is not closed, by person
     */
    public function assigned(?array $people = null): Collection
    {
        $on = Assignment::with('card.aircraft.type')->whereHas(
            'card',
            static fn($q) => $q->whereNot('state', Card::CLOSED),
        );

        return ($people === null ? $on : $on->whereIn('person_id', $people))->get()->groupBy('person_id')->toBase();
    }

    public function view(Qualification $q): QualificationView
    {
        $days = $this->days($q);
        $state = match (true) {
            $days === null, $days > config('jorvel.lapse_days') => 'clear',
            $days < 0 => 'stop',
            default => 'watch',
        };

        return new QualificationView(
            $q->kind,
            $q->value,
            Words::qualification($q->kind, $q->value),
            $q->valid_until === null ? null : (string) $q->valid_until,
            $days,
            $state,
            $days === null ? '' : ($days < 0 ? 'lapsed '.Words::fromNow($days) : 'lapses '.Words::fromNow($days)),
            $q->paper,
        );
    }

    /**
     * What lapses, what is missing for cards they are assigned to, and when they leave.
     *
     * @param Person $p with `qualifications`
     * @param Collection<int, Assignment> $on what they are assigned to
     * @param array<string, list<HitView>> $last cards that nobody can do once something lapses, as {@see LastOnes} has
     *   them
     *
     * @return list<LapseView>
     */
    public function of(Person $p, Collection $on, array $last = []): array
    {
        $found = [];
        foreach ($p->qualifications as $q) {
            $view = $this->view($q);
            if ($view->state !== 'clear') {
                $what = Words::qualification($q->kind, $q->value);
                $hits = $this->hits(
                    $on,
                    fn(Assignment $a, Day $day): bool
                        => self::asks($p, $a, $q) && $day->number > $q->valid_until->number,
                );
                $found[] = new LapseView(
                    $p->id,
                    $p->name,
                    $q->kind,
                    $q->value,
                    (string) $q->valid_until,
                    $view->days,
                    $view->state,
                    ($view->days < 0 ? 'no longer holds ' : 'loses ').$what
                        .($view->days < 0 ? '' : ' '.Words::fromNow((int) $view->days)),
                    self::joined($hits, $last["{$p->id}/{$q->kind}:{$q->value}"] ?? []),
                );
            }
        }
        foreach ($this->lacking($p, $on) as $key => $hits) {
            [$kind, $value] = explode(':', (string) $key, 2);
            $found[] = new LapseView(
                $p->id,
                $p->name,
                $kind,
                $value,
                null,
                null,
                'stop',
                'has no '.substr(Words::qualification($kind, $value), 4),
                $hits,
            );
        }
        $leaves = $p->leaves === null ? null : $p->leaves;
        if ($leaves !== null && $this->clock->today()->daysUntil($leaves) <= config('jorvel.lapse_days')) {
            $days = $this->clock->today()->daysUntil($leaves);
            $hits = $this->hits($on, static fn(Assignment $a, Day $day): bool => $day->number > $leaves->number);
            if ($days >= 0 || $hits !== []) {
                $found[] = new LapseView(
                    $p->id,
                    $p->name,
                    'person',
                    'leaves',
                    (string) $leaves,
                    $days,
                    $days < 0 ? 'stop' : 'watch',
                    $days < 0 ? 'left '.Words::fromNow($days) : 'leaves '.Words::fromNow($days),
                    $hits,
                );
            }
        }

        return $found;
    }

    /**
     * The cards that ask for a qualification, whether it lapses or not.
     *
     * @param Person $p with `qualifications`
     * @param Collection<int, Assignment> $on
     *
     * @return list<HitView>
     */
    public function asking(Person $p, Qualification $q, Collection $on): array
    {
        return $this->hits($on, static fn(Assignment $a): bool => self::asks($p, $a, $q));
    }

    private function days(Qualification $q): ?int
    {
        return $q->valid_until === null ? null : $this->clock->today()->daysUntil($q->valid_until);
    }

    private static function asks(Person $p, Assignment $a, Qualification $q): bool
    {
        return in_array($q->value, self::wanted($p, $a)[$q->kind] ?? [], true);
    }

    /**
     * What an assignment asks of somebody, by kind. A trainee's asks for nothing, since another signs; of a card that
     * needs several skills any one is enough, so that it asks for one only of who has no other.
     *
     * @return array<string, list<string>>
     */
    private static function wanted(Person $p, Assignment $a): array
    {
        if ($a->role === 'trainee') {
            return [];
        }
        $all = [
            'authority' => [$a->role === 'duplicate' ? 'duplicate' : 'perform'],
            'rating' => [$a->card->aircraft->type->code],
        ];
        if ($a->role === 'duplicate') {
            return $all;
        }
        $has = array_values(array_intersect(
            array_keys($a->card->needs ?? []) ?: [$a->card->skill],
            $p->qualifications->where('kind', 'skill')->pluck('value')->all(),
        ));

        return [...$all, 'skill' => match (count($has)) {
            0 => [$a->card->skill], 1 => $has, default => [],
        }];
    }

    /**
     * @param Collection<int, Assignment> $on
     *
     * @return array<string, list<HitView>> by `skill:engine`, what is asked of them and they do not hold
     */
    private function lacking(Person $p, Collection $on): array
    {
        $held = $p->qualifications->map(static fn(Qualification $q): string => "{$q->kind}:{$q->value}")->all();
        $lacking = [];
        foreach ($on as $a) {
            foreach (self::wanted($p, $a) as $kind => $values) {
                foreach ($values as $value) {
                    if (! in_array("{$kind}:{$value}", $held, true)) {
                        $lacking["{$kind}:{$value}"][] = $this->hit($a);
                    }
                }
            }
        }

        return $lacking;
    }

    /**
     * @param Collection<int, Assignment> $on
     * @param callable(Assignment, Day): bool $is
     *
     * @return list<HitView>
     */
    private function hits(Collection $on, callable $is): array
    {
        return array_values($on->filter(
            fn(Assignment $a): bool => $is($a, $this->day($a->card)),
        )->map(fn(Assignment $a): HitView => $this->hit($a))->all());
    }

    /**
     * What is hit, in words.
     *
     * @param list<HitView> $hits some
     */
    public static function told(array $hits): string
    {
        $nobody = count(array_filter($hits, static fn(HitView $h): bool => $h->nobody));
        $others = count($hits) - $nobody;

        return implode(', ', array_filter([
            $nobody > 0 ? 'nobody is left for '.Words::count($nobody, 'planned card') : '',
            $others > 0 ? Words::count($others, 'planned card').' cannot be worked as assigned' : '',
        ]));
    }

    /**
     * A card that nobody can do is told as that, whoever is assigned to it.
     *
     * @param list<HitView> $assigned
     * @param list<HitView> $nobody
     *
     * @return list<HitView>
     */
    private static function joined(array $assigned, array $nobody): array
    {
        $told = array_map(static fn(HitView $h): string => "{$h->cardId}:{$h->role}", $nobody);

        return [
            ...$nobody,
            ...array_values(array_filter(
                $assigned,
                static fn(HitView $h): bool => ! in_array("{$h->cardId}:{$h->role}", $told, true),
            )),
        ];
    }

    private function hit(Assignment $a): HitView
    {
        return new HitView(
            $a->card->id,
            $a->card->number,
            $a->card->aircraft->mark,
            $a->card->title,
            (string) $this->day($a->card),
            $a->role === 'duplicate' ? 'duplicate' : 'perform',
            false,
        );
    }

    /** The day on which a card ends as planned; today where it has none, or that is past. */
    private function day(Card $card): Day
    {
        $end = $card->planned_end ?? $card->planned_start;
        $day = $end === null ? $this->clock->today() : $end->dayIn($this->clock->zone());

        return $day->number < $this->clock->today()->number ? $this->clock->today() : $day;
    }
}
