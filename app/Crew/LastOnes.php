<?php

declare(strict_types=1);

namespace App\Crew;

use App\Crew\View\HitView;
use App\Floor\Card;
use App\Shared\Clock;
use App\Visits\Bay;
use App\Visits\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * Planned cards that nobody of their base can work, or inspect, on their day, because what the last ones hold will have lapsed;
 * whether anybody is assigned to them yet or not.
 */
final readonly class LastOnes
{
    public function __construct(private Clock $clock) {}

    /** @return array<string, list<HitView>> by `person/kind:value` of what lapses */
    public function hits(): array
    {
        $people = Person::with('qualifications')->where('trainee', false)->whereNot('role', Role::Viewer)->orderBy('id')->get()->groupBy('base');
        $holds = $people->flatten(1)->mapWithKeys(static fn(Person $p): array => [$p->id => $p->qualified()])->all();
        $bays = Bay::pluck('base', 'name');
        $hits = [];
        foreach (Card::with(['aircraft.type', 'visit'])->whereNotNull('planned_end')->whereNot('state', Card::CLOSED)->whereHas('visit', static fn($q) => $q->whereNot('state', Visit::RELEASED))->orderBy('planned_end')->orderBy('id')->get() as $card) {
            $day = Instant::parse((string) $card->planned_end)->dayIn($this->clock->zone());
            $there = ($people[$bays[$card->visit->bay] ?? $card->aircraft->base] ?? collect())->reject(static fn(Person $p): bool => $p->goneOn($day));
            foreach (self::asks($card) as [$role, $skill]) {
                foreach ($this->lapsed($there, $holds, $role, $card->aircraft->type->code, $skill, $day) as $key) {
                    $hits[$key]["{$card->id}:{$role}"] ??= new HitView($card->id, $card->number, $card->aircraft->mark, $card->title, (string) $day, $role, true);
                }
            }
        }

        return array_map(array_values(...), $hits);
    }

    /** @return list<array{string, string|null}> role and skill */
    private static function asks(Card $card): array
    {
        $work = $card->worked() ? [] : array_map(static fn(string $skill): array => ['perform', $skill], array_map(strval(...), array_keys($card->needs ?? [$card->skill => 1])));

        return [...$work, ...$card->critical ? [['duplicate', null]] : []];
    }

    /**
     * What has lapsed by a day, of those who could otherwise; nothing as long as one can.
     *
     * @param Collection<int, Person> $there
     * @param array<int, Qualified> $holds
     *
     * @return list<string>
     */
    private function lapsed(Collection $there, array $holds, string $role, string $type, ?string $skill, Day $day): array
    {
        $keys = [];
        foreach ($there as $p) {
            $why = $holds[$p->id]->unfit($role, $type, $skill, $day);
            if ($why === null) {
                return [];
            }
            if (str_starts_with($why, 'expired:')) {
                $value = substr($why, strlen('expired:'));
                $keys[] = "{$p->id}/".match ($value) {
                    $role => 'authority', $type => 'rating', default => 'skill',
                }.":{$value}";
            }
        }

        return $keys;
    }
}
