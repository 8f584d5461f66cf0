<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Crew\Do\Rotas;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Base;
use App\Visits\Model\Bay;
use App\Visits\Model\BayClosure;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonPeople;

/** Where aircraft can be worked on in a season, and who is there: of each base its bays, and its places outside. */
final readonly class SeasonPlaces
{
    /** Days from today over which people are counted. */
    private const USUAL = 90;

    private const AT_ONCE = 1.0;

    /** So much of a base's people is reckoned with outside; the rest is shared out to its bays. */
    private const OUTSIDE = 0.25;

    /**
     * @param array<string, SeasonPlace> $places by id
     * @param list<SeasonBay> $bays of the core, likewise
     * @param array<string, array<int, float>> $people hours of work that a base's people come to, by day's number
     * @param array<string, array<string, array<string, int>>> $most people at work at once, by base, type and skill
     */
    private function __construct(
        public array $places,
        public array $bays,
        public array $people,
        private array $most,
    ) {}

    /**
     * @param Collection<int, Aircraft> $aircraft with their types
     * @param Collection<int, Visit> $visits those that go on and are to come, with their aircraft
     */
    public static function of(Rotas $rotas, Collection $aircraft, Collection $visits, Day $from, int $days): self
    {
        $places = $bays = $people = [];
        $own = Bay::with('closures')->orderBy('id')->get()->groupBy('base');
        $bases = self::bases($own->keys()->merge($aircraft->pluck('base')));
        $able = self::able($rotas, $bases, $aircraft, $from);
        foreach ($bases as $base) {
            // Where nobody at home may work on it, an aircraft goes where somebody may.
            $here = $aircraft->filter(static fn(Aircraft $a): bool => ($able[$base->name][$a->type->code] ?? []) !== []
                && ($a->base === $base->name || ($able[$a->base][$a->type->code] ?? []) === []));
            // What a day is reckoned with does not change with how far is looked ahead.
            $hours = self::people($rotas, $base->name, $here, $from, max($days, self::USUAL));
            $people[$base->name] = array_slice($hours, 0, $days, true);
            $hours = array_slice($hours, 0, self::USUAL, true);
            $marks = array_values($here->pluck('mark')->all());
            /** @var Collection<int, Bay> $of */
            $of = $own->get($base->name, new Collection);
            $line = self::atOnce($visits->filter(static fn(Visit $v): bool => $v->bay === Visit::LINE
                && $v->aircraft->base === $base->name));
            $outside = max($base->outside, $line);
            $manned = self::manned($hours);
            $mean = self::mean($hours) * (float) config('jorvel.season_usable_share');
            $share = $mean * ($outside > 0 ? 1 - self::OUTSIDE : 1.0)
                / max(1, (int) $of->where('washes', false)->sum('places'));
            foreach ($of as $bay) {
                $place = SeasonPlace::bay($bay);
                $places[$place->id] = $place;
                $bays[] = self::bay($bay, $place, $share, $marks, $manned);
            }
            if ($outside > 0) {
                $place = SeasonPlace::outside($base->name);
                $day = max(1.0, round(min((float) config('jorvel.line_hours'), self::OUTSIDE * $mean), 1));
                $places[$place->id] = $place;
                $bays[] = SeasonBay::of(
                    $place->id,
                    $day,
                    // As many at once as there would be people for if the bays stood empty.
                    max(1, $line, min($outside, (int) floor(self::AT_ONCE * $mean / $day))),
                    // On the apron of its own base: a visit there names no other.
                    array_values($here->where('base', $base->name)->pluck('mark')->all()),
                    $manned,
                    outside: true,
                );
            }
        }

        return new self($places, $bays, $people, $able);
    }

    /**
     * The skill that a place has too few people with for a card, and how many are there at once.
     *
     * @param array<string, int> $needs people by skill
     *
     * @return array{string, int}|null
     */
    public function lacks(SeasonPlace $place, string $type, array $needs): ?array
    {
        foreach ($needs as $skill => $many) {
            $there = $this->most[$place->base][$type][$skill] ?? 0;
            if ($many > $there) {
                return [$skill, $there];
            }
        }

        return null;
    }

    /**
     * The people of each base, whom its places share: so much of their work as a season reckons with, and all of it,
     * beyond which nothing is worked.
     *
     * @return list<SeasonPeople>
     */
    public function shared(): array
    {
        $shared = [];
        foreach ($this->people as $base => $hours) {
            $places = array_keys(array_filter($this->places, static fn(SeasonPlace $p): bool => $p->base === $base));
            $usual = (float) config('jorvel.season_usable_share');
            $shared[] = SeasonPeople::of(
                $places,
                array_map(static fn(float $h): float => $usual * $h, $hours),
                (float) config('jorvel.season_full_hours'),
            );
            $shared[] = SeasonPeople::of($places, $hours, (float) config('jorvel.season_over_hours'));
        }

        return $shared;
    }

    /**
     * Who is at work at once at a base in the coming two weeks, by type and skill.
     *
     * @param Collection<int, Base> $bases
     * @param Collection<int, Aircraft> $aircraft
     *
     * @return array<string, array<string, array<string, int>>>
     */
    private static function able(Rotas $rotas, Collection $bases, Collection $aircraft, Day $from): array
    {
        $able = [];
        foreach ($bases as $base) {
            $rota = $rotas->of($base->name);
            foreach ($aircraft->pluck('type.code')->unique() as $type) {
                for ($n = 0; $n < 14; $n++) {
                    foreach ($rota->shifts() as $shift) {
                        foreach ($rota->counts($shift, $from->plusDays($n), $type) as $skill => $many) {
                            $able[$base->name][$type][$skill] = max($many, $able[$base->name][$type][$skill] ?? 0);
                        }
                    }
                }
            }
        }

        return $able;
    }

    /**
     * @param list<string> $marks
     * @param list<int> $manned weekdays
     */
    private static function bay(Bay $bay, SeasonPlace $place, float $share, array $marks, array $manned): SeasonBay
    {
        $open = array_map(
            static fn(array $h): float => (float) substr($h[1], 0, 2) + (float) substr($h[1], 3, 2) / 60
                - (float) substr($h[0], 0, 2) - (float) substr($h[0], 3, 2) / 60,
            $bay->hours,
        );

        return SeasonBay::of(
            $place->id,
            $bay->washes
                ? (float) config('jorvel.season_wash_hours')
                : max(1.0, round(min($share, $bay->people * max([0.0, ...$open]) * self::usable()), 1)),
            $bay->places,
            $marks,
            array_values(array_intersect(array_map(intval(...), array_keys($bay->hours)), $manned)),
            array_values($bay->closures->map(static fn(BayClosure $c): array => [$c->start, $c->end])->all()),
            wash: $bay->washes,
        );
    }

    /**
     * @param Collection<int, Aircraft> $here
     *
     * @return array<int, float>
     */
    private static function people(Rotas $rotas, string $base, Collection $here, Day $from, int $days): array
    {
        $types = array_values($here->pluck('type.code')->unique()->all());
        $rota = $rotas->of($base);
        $hours = [];
        for ($n = 0; $n < $days; $n++) {
            $day = $from->plusDays($n);
            $hours[$day->number] = $rota->hours($day, $types) * self::usable();
        }

        return $hours;
    }

    /**
     * The weekdays on which there are people enough to plan on: at least half as many hours as usual.
     *
     * @param array<int, float> $hours by day's number
     *
     * @return list<int> ISO
     */
    private static function manned(array $hours): array
    {
        $by = [];
        foreach ($hours as $day => $many) {
            $by[Day::fromNumber($day)->weekday()][] = $many;
        }
        $means = array_map(static fn(array $of): float => array_sum($of) / count($of), $by);
        $most = max([0.0, ...$means]);
        ksort($means);

        return array_keys(array_filter($means, static fn(float $mean): bool => $mean > 0 && $mean >= $most / 2));
    }

    /**
     * Every base, also one that has but a bay or an aircraft.
     *
     * @param Collection<int, string> $named
     *
     * @return Collection<int, Base>
     */
    private static function bases(Collection $named): Collection
    {
        $known = Base::orderByDesc('name')->get()->toBase();
        $more = $named->unique()->diff($known->pluck('name'))->values();

        return $known->merge($more->map(static fn(string $name): Base => (new Base)->forceFill([
            'name' => $name, 'outside' => 0, 'conditions' => [],
        ])));
    }

    /**
     * As many visits as there are at once on some day on which one begins.
     *
     * @param Collection<int, Visit> $visits
     */
    private static function atOnce(Collection $visits): int
    {
        return (int) $visits->map(static fn(Visit $v): int => $visits->filter(static fn(Visit $o): bool
            => $o->start->number <= $v->start->number && $v->start->number <= $o->end->number)->count())->max();
    }

    /** @param array<int, float> $hours */
    private static function mean(array $hours): float
    {
        $worked = array_filter($hours, static fn(float $h): bool => $h > 0 && $h >= max($hours) / 2);

        return $worked === [] ? 0.0 : array_sum($worked) / count($worked);
    }

    private static function usable(): float
    {
        return (float) config('jorvel.usable_share');
    }
}
