<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralNeed;
use App\Fleet\Model\Aircraft;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use App\Visits\Show\FreeSlots;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\Closure;
use Jorvel\Core\Deferrals\ClosureSlot;
use Jorvel\Core\Deferrals\ClosureWait;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\PackVisit;

/** Asks the core whether deferrals are closed in time: with what each waits for, and the stays in which it could be. */
final class Closures
{
    /** @var array<int, array<string, array{PackVisit, string, string, string}>> by aircraft */
    private array $slots = [];

    /** @var array<int, list<array{int, int}>> days on which it is washed between its flights, by aircraft */
    private array $washed = [];

    /** @var array<string, float> hours of cards, by type and code */
    private array $hours = [];

    public function __construct(private readonly Clock $clock, private readonly FreeSlots $free) {}

    /** @return list<string> what of a deferral {@see of()} reads */
    public static function with(): array
    {
        return ['cards.card', 'needs.part.batches', 'needs.part.orders'];
    }

    /**
     * Reads what many deferrals need at once.
     *
     * @param Collection<int, Deferral> $deferrals with `aircraft` and `listedItem`
     */
    public function read(Collection $deferrals): void
    {
        $aircraft = $deferrals->pluck('aircraft')->unique('id')->values();
        $this->slots = $this->free->all($aircraft, (int) config('jorvel.closure_days'), true);
        $this->washed = [];
        $washes = Visit::where('between', true)->where('state', '!=', Visit::RELEASED)
            ->whereIn('aircraft_id', $aircraft->pluck('id'))->get(['aircraft_id', 'start', 'end']);
        foreach ($washes as $wash) {
            $this->washed[$wash->aircraft_id][] = [$wash->start->number, $wash->end->number];
        }
        $this->hours = CardTemplate::whereIn('type_id', $aircraft->pluck('type_id')->unique())
            ->get(['type_id', 'code', 'hours'])
            ->mapWithKeys(static fn(CardTemplate $t): array => ["{$t->type_id} {$t->code}" => $t->hours])->all();
    }

    /** @param Day|null $last by its clock @param Deferral $deferral with {@see with()}, after {@see read()} */
    public function of(Deferral $deferral, ?Day $last): Closure
    {
        $today = $this->clock->today();
        $waits = array_values($deferral->waits()->map(static fn(DeferralNeed $n): ClosureWait => new ClosureWait(
            (string) $n->id,
            $n->thereOn($today),
        ))->all());

        return Closure::of($today, $last, $this->hours($deferral), $waits, array_values(array_map(
            static fn(Stay $s): ClosureSlot => $s->slot,
            $this->stays($deferral),
        )));
    }

    /**
     * The stays in which it could be closed. Once its cards are in a visit, that one alone, with the hours that it has
     * for them.
     *
     * @return array<string, Stay> by id
     */
    public function stays(Deferral $deferral): array
    {
        $hours = $this->hours($deferral);
        $in = $deferral->closing()?->card->visit_id;
        $stays = [];
        $taken = $this->washed[$deferral->aircraft_id] ?? [];
        foreach ($this->slots[$deferral->aircraft_id] ?? [] as $id => [$visit, $kind, $title, $bay]) {
            if ($kind === Stay::VISIT) {
                $taken[] = [$visit->start->number, $visit->end->number];
                $free = $id === "visit-{$in}" ? max($hours, $visit->capacity) : $visit->capacity;
                $stays[$id] = new Stay(
                    ClosureSlot::of($id, $visit->start, $visit->end, $free),
                    Stay::VISIT,
                    $title,
                    $bay,
                );
            }
        }
        if ($in !== null) {
            return array_intersect_key($stays, ["visit-{$in}" => true]);
        }
        foreach ($this->slots[$deferral->aircraft_id] ?? [] as $id => [$visit, $kind, $title, $bay]) {
            if ($kind !== Stay::VISIT) {
                $stays += self::part($id, $visit, $hours, $taken, $title, $bay);
            }
        }
        if ($hours <= (float) config('jorvel.line_hours')) {
            $stays += $this->line($deferral->aircraft, $taken);
        }
        uasort($stays, static fn(Stay $a, Stay $b): int => $a->slot->start->number <=> $b->slot->start->number);

        return $stays;
    }

    /**
     * So many of a bay's free days as the hours take, from each of them on.
     *
     * @param list<array{int, int}> $taken days on which the aircraft stands elsewhere
     *
     * @return array<string, Stay>
     */
    private static function part(
        string $id,
        PackVisit $free,
        float $hours,
        array $taken,
        string $title,
        string $bay,
    ): array {
        $days = $free->start->daysUntil($free->end) + 1;
        $needs = max(1, (int) ceil($hours / max(0.1, $free->capacity / $days) - 1e-9));
        $stays = [];
        for ($n = 0; $n + $needs <= $days; $n++) {
            $start = $free->start->plusDays($n);
            $end = $start->plusDays($needs - 1);
            if (! self::overlaps($taken, $start, $end)) {
                $slot = ClosureSlot::of("{$id}@{$start}", $start, $end, $free->capacity / $days * $needs);
                $stays["{$id}@{$start}"] = new Stay($slot, Stay::FREE, $title, $bay);
            }
        }

        return $stays;
    }

    /**
     * Each of the coming days on the line.
     *
     * @param list<array{int, int}> $taken
     *
     * @return array<string, Stay>
     */
    private function line(Aircraft $aircraft, array $taken): array
    {
        $stays = [];
        for ($n = 1; $n <= (int) config('jorvel.sector_days'); $n++) {
            $day = $this->clock->today()->plusDays($n);
            if (! self::overlaps($taken, $day, $day)) {
                $slot = ClosureSlot::of("line-{$day}", $day, $day, (float) config('jorvel.line_hours'));
                $stays["line-{$day}"] = new Stay($slot, Stay::LINE, "On the line, {$aircraft->base}", 'line');
            }
        }

        return $stays;
    }

    /** @param list<array{int, int}> $taken */
    private static function overlaps(array $taken, Day $from, Day $to): bool
    {
        foreach ($taken as [$a, $b]) {
            if ($a <= $to->number && $from->number <= $b) {
                return true;
            }
        }

        return false;
    }

    /** Hours that its closure takes: the fix, what made it safe taken back, and its tests. */
    public function hours(Deferral $deferral): float
    {
        if ($deferral->hours !== null) {
            return $deferral->hours;
        }
        $terms = $deferral->listedItem->terms();
        $type = $deferral->aircraft->type_id;
        $cards = array_filter([$terms->safe, ...$terms->closes]);

        return ($deferral->finding->fix_hours ?? (float) config('jorvel.fix_hours')) + array_sum(array_map(
            fn(string $code): float => $this->hours["{$type} {$code}"] ?? 0.0,
            $cards,
        ));
    }
}
