<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\FlyingEntry;
use App\Fleet\Model\ItemDoing;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use App\Stores\Model\FittedPart;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\Recent;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * What was found on a system of an aircraft and what was done to it, in the last ninety days and the last thirty
 * flights.
 */
final readonly class SystemHistory
{
    public function __construct(private Clock $clock) {}

    /**
     * @param string $chapter of the manual; its system is the first two figures
     * @param int|null $but a finding that is left out
     * @param Day|null $until the day from which it is looked back; today where null
     *
     * @return Collection<int, PastEvent> the latest first
     */
    public function of(Aircraft $aircraft, string $chapter, ?int $but = null, ?Day $until = null): Collection
    {
        $until ??= $this->clock->today();
        $flights = $this->flights($aircraft, $until);
        $since = $this->since($flights, $until);
        $system = substr($chapter, 0, 2);
        $events = [
            ...$this->findings($aircraft, $system, $since, $flights, $but),
            ...$this->cards($aircraft, $system, $since, $flights),
            ...$this->items($aircraft, $system, $since, $flights),
            ...$this->parts($aircraft, $system, $since, $flights),
        ];
        $recent = Recent::usual();

        return collect($events)->filter(static fn(PastEvent $e): bool => $recent->holds($e->on, $until, $e->flown))
            ->sortBy(static fn(PastEvent $e): array => [-$e->on->number, $e->kind, $e->title])->values();
    }

    /** The latest finding at the same place of a system that is still recent; null where there is none. */
    public function samePlace(Aircraft $aircraft, string $chapter, string $place): ?Finding
    {
        $today = $this->clock->today();
        $flights = $this->flights($aircraft, $today);
        $recent = Recent::usual();

        return Finding::where('aircraft_id', $aircraft->id)->where('chapter', 'like', substr($chapter, 0, 2).'%')
            ->orderByDesc('raised_at')
            ->orderByDesc('id')
            ->get()
            ->first(fn(Finding $f): bool => Recent::samePlace($f->place, $place) && $recent->holds(
                $this->day($f->raised_at),
                $today,
                self::flown($flights, $this->day($f->raised_at)),
            ));
    }

    /** @return array<int, int> flights by day number, the latest first */
    private function flights(Aircraft $aircraft, Day $until): array
    {
        $flights = [];
        $from = (string) $until->plusDays(-(int) config('jorvel.history_days'));
        $entries = FlyingEntry::where(['aircraft_id' => $aircraft->id, 'current' => true])
            ->whereBetween('date', [$from, (string) $until])
            ->orderByDesc('date')
            ->get(['date', 'flown']);
        foreach ($entries as $entry) {
            $day = $entry->date->number;
            $flights[$day] = ($flights[$day] ?? 0) + (int) ($entry->flown['ldg'] ?? 0);
        }

        return $flights;
    }

    /** @param array<int, int> $flights */
    private static function flown(array $flights, Day $since): int
    {
        return (int) array_sum(array_filter(
            $flights,
            static fn(int $day): bool => $day > $since->number,
            ARRAY_FILTER_USE_KEY,
        ));
    }

    /**
     * The earliest day that either window reaches.
     *
     * @param array<int, int> $flights
     */
    private function since(array $flights, Day $until): string
    {
        $recent = Recent::usual();
        $back = $until->number - $recent->days;
        $sum = 0;
        foreach ($flights as $day => $n) {
            $sum += $n;
            if ($sum > $recent->flights) {
                return (string) Day::fromNumber(min($back, $day));
            }
        }

        // It has flown too little for the flights to end it.
        return (string) $until->plusDays(-(int) config('jorvel.history_days'));
    }

    /**
     * @param array<int, int> $flights
     *
     * @return list<PastEvent>
     */
    private function findings(Aircraft $aircraft, string $system, string $since, array $flights, ?int $but): array
    {
        return array_values(Finding::where('aircraft_id', $aircraft->id)->where('chapter', 'like', "{$system}%")
            ->where('raised_at', '>=', $since)
            ->whereKeyNot($but ?? 0)
            ->get()
            ->map(fn(Finding $f): PastEvent => new PastEvent(
                'finding',
                $day = $this->day($f->raised_at),
                "{$f->number} {$f->place}",
                $f->extent.($f->fixed_how === null ? ", {$f->state->value}" : ", fixed: {$f->fixed_how}"),
                self::flown($flights, $day),
                "/floor/findings/{$f->id}",
            ))
            ->all());
    }

    /**
     * @param array<int, int> $flights
     *
     * @return list<PastEvent>
     */
    private function cards(Aircraft $aircraft, string $system, string $since, array $flights): array
    {
        return array_values(Card::with('signer')->where('aircraft_id', $aircraft->id)
            ->whereNotNull('closed_at')
            ->where('closed_at', '>=', $since)
            ->where(static fn(Builder $q) => $q->whereHas(
                'item',
                static fn(Builder $i) => $i->where('chapter', 'like', "{$system}%"),
            )->orWhereHas(
                'finding',
                static fn(Builder $f) => $f->where('chapter', 'like', "{$system}%"),
            ))
            ->get()
            ->map(fn(Card $c): PastEvent => new PastEvent(
                'card',
                $day = $this->day($c->closed_at ?? $this->clock->now()),
                "{$c->number} {$c->title}",
                'worked by '.($c->signer->name ?? 'somebody'),
                self::flown($flights, $day),
                "/floor/{$c->id}",
            ))
            ->all());
    }

    /**
     * What was done under the programme, where no card of it is here.
     *
     * @param array<int, int> $flights
     *
     * @return list<PastEvent>
     */
    private function items(Aircraft $aircraft, string $system, string $since, array $flights): array
    {
        return array_values(ItemDoing::with('item')->where('aircraft_id', $aircraft->id)
            ->whereNull('visit_id')
            ->where('date', '>=', $since)
            ->whereHas('item', static fn(Builder $q) => $q->where('chapter', 'like', "{$system}%"))
            ->get()
            ->map(static fn(ItemDoing $d): PastEvent => new PastEvent(
                'item',
                $day = $d->date,
                "{$d->item->code} {$d->item->title}",
                'done under the programme',
                self::flown($flights, $day),
            ))
            ->all());
    }

    /**
     * @param array<int, int> $flights
     *
     * @return list<PastEvent>
     */
    private function parts(Aircraft $aircraft, string $system, string $since, array $flights): array
    {
        return array_values(FittedPart::with([
            'part',
            'card.template',
            'card.item',
            'card.finding',
        ])->where('aircraft_id', $aircraft->id)->where('stands', true)->where('at', '>=', $since)->get()
            ->filter(static fn(FittedPart $p): bool => str_starts_with($p->card->chapter(), $system))
            ->map(fn(FittedPart $p): PastEvent => new PastEvent(
                'part',
                $day = $this->day($p->at),
                "{$p->part->number} {$p->part->title}",
                "fitted at {$p->position}".($p->again ? ', the one that was there' : ''),
                self::flown($flights, $day),
                "/floor/{$p->card_id}",
            ))
            ->all());
    }

    private function day(Instant $at): Day
    {
        return $at->dayIn($this->clock->zone());
    }
}
