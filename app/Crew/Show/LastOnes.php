<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Crew\Show\View\HitView;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\WhoIsLeft;

/**
 * Planned cards that nobody of their base can work, or inspect, on their day, because what the last ones hold will have
 * lapsed; whether anybody is assigned to them yet or not.
 */
final readonly class LastOnes
{
    public function __construct(private Clock $clock) {}

    /**
     * @param Collection<int, Person> $all with `qualifications`
     *
     * @return array<string, list<HitView>> by `person/kind:value` of what lapses
     */
    public function hits(Collection $all): array
    {
        $people = $all->reject(static fn(Person $p): bool => $p->trainee || $p->role === Role::Viewer)->sortBy('id');
        $holds = $people->mapWithKeys(static fn(Person $p): array => [$p->id => $p->qualified()])->all();
        $hits = $at = [];
        foreach ($this->planned() as $card) {
            $day = $card->planned_end->dayIn($this->clock->zone());
            $base = (string) $card->getAttribute('at');
            $there = $at["{$base} {$day}"] ??= array_intersect_key(
                $holds,
                $people->filter(
                    static fn(Person $p): bool => $p->base === $base && ! $p->goneOn($day),
                )->keyBy('id')->all(),
            );
            foreach (self::asks($card) as [$role, $skill]) {
                foreach (WhoIsLeft::lapsed(
                    $there,
                    $role,
                    $card->getAttribute('type'),
                    $skill,
                    $day,
                ) as [$person, $kind, $value]) {
                    $hits["{$person}/{$kind}:{$value}"]["{$card->id}:{$role}"] ??= new HitView(
                        $card->id,
                        $card->number,
                        $card->getAttribute('mark'),
                        $card->title,
                        (string) $day,
                        $role,
                        true,
                    );
                }
            }
        }

        return array_map(array_values(...), $hits);
    }

    /** @return EloquentCollection<int, Card> with `mark`, `type`, and `at`, the base where it is worked */
    private function planned(): EloquentCollection
    {
        return Card::query()->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id')
            ->leftJoin('bays', 'bays.name', '=', 'visits.bay')
            ->whereNotNull('cards.planned_end')
            ->whereNot('cards.state', Card::CLOSED)
            ->whereNot('visits.state', Visit::RELEASED)
            ->orderBy('cards.planned_end')
            ->orderBy('cards.id')
            ->get([
                'cards.*',
                'aircraft.mark',
                'aircraft_types.code as type',
                DB::raw('coalesce(bays.base, aircraft.base) as at'),
            ]);
    }

    /** @return list<array{string, string|null}> role and skill */
    private static function asks(Card $card): array
    {
        $work = $card->worked() ? [] : array_map(
            static fn(string $skill): array => ['perform', $skill],
            array_map(strval(...), array_keys($card->needs ?? [$card->skill => 1])),
        );

        return [...$work, ...$card->independent_inspection ? [['duplicate', null]] : []];
    }
}
