<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Crew\Model\Person;
use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\SwapRow;
use App\Deferrals\Show\View\CarrierView;
use App\Deferrals\Show\View\FlightView;
use App\Deferrals\Show\View\SectorsView;
use App\Deferrals\Show\View\SentSwapView;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector as Row;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Deferrals\Dispatch;
use Jorvel\Core\Deferrals\DispatchResult;
use Jorvel\Core\Deferrals\Sector;

/** The coming flights of every aircraft that carries something, each with its verdict and reasons. */
final readonly class ShowSectors
{
    /** Proposals that were handed over, the last ones. */
    private const SENT = 10;

    private const STATE = ['go' => 'clear', 'go_restricted' => 'watch', 'unknown' => 'watch', 'no_go' => 'stop'];

    public function __construct(private Clock $clock, private Flights $flights) {}

    /** @return list<string> what of an aircraft {@see Flights} reads */
    public static function with(): array
    {
        return ['type', 'deferrals.listedItem', 'deferrals.finding'];
    }

    public function all(int $days, Person $me): SectorsView
    {
        $aircraft = Aircraft::with([...LoadFlying::with(), ...self::with()])
            ->whereHas('deferrals')->orderBy('mark')->get();
        $rows = $aircraft->map(fn(Aircraft $a): CarrierView => $this->flying($a, $days))
            ->sortBy(static fn(CarrierView $c): int => ['stop' => 0, 'watch' => 1][$c->state]
                ?? ($c->flights === [] ? 3 : 2))
            ->values();
        $stopped = $rows->where('state', 'stop');
        $flights = $rows->sum(static fn(CarrierView $f): int => count($f->flights));
        $first = $stopped->first();

        return new SectorsView(
            match (true) {
                $rows->isEmpty() => 'No aircraft carries a defect: every flight may be flown.',
                $first !== null => "{$first->sentence} ".($stopped->count() > 1
                    ? Words::count($stopped->count() - 1, 'other aircraft', 'other aircraft')
                    .' cannot fly all of its flights.'
                    : ''),
                $flights === 0 => 'No flight of an aircraft that carries something is planned in these days.',
                default => Words::count($flights, 'flight', 'flights')
                    .' of aircraft that carry something, all may be flown.',
            },
            $days,
            array_values($rows->all()),
            array_values(SwapRow::with('person')->orderByDesc('id')->limit(self::SENT)->get()
                ->map(fn(SwapRow $s): SentSwapView => new SentSwapView(
                    $s->id,
                    $this->clock->words($s->date),
                    self::moves($s->moves),
                    $s->accepted,
                    $s->answer,
                    "{$s->person->name}, {$this->clock->local($s->at)}",
                ))->all()),
            $me->can('defer', Deferral::class),
        );
    }

    /** @param list<array{from: string, to: string, flights: string}> $moves */
    public static function moves(array $moves): string
    {
        return implode('; ', array_map(
            static fn(array $m): string => "{$m['to']} flies {$m['flights']} of {$m['from']}",
            $moves,
        ));
    }

    /** @param Aircraft $craft with {@see with()} and what is flown */
    public function flying(Aircraft $craft, int $days): CarrierView
    {
        $names = Flights::names($craft);
        $flights = array_map(
            fn(array $f): FlightView => $this->flight($f[0], $f[1], $f[2], $names),
            $this->flights->of($craft, $days),
        );
        [$carried] = $this->flights->carries($craft);
        $stop = array_values(array_filter($flights, static fn(FlightView $f): bool => $f->verdict === 'no_go'));
        $open = array_values(array_filter($flights, static fn(FlightView $f): bool => $f->verdict === 'unknown'));
        $standing = Dispatch::with($carried)->standing();
        $last = $this->flights->last($craft);
        $until = $this->clock->today()->plusDays($days - 1);
        $over = $last !== null && $last->number < $this->clock->today()->number;

        return new CarrierView(
            $craft->mark,
            $craft->type->code,
            match (true) {
                $stop !== [] => "{$craft->mark} cannot fly ".count($stop).' of its '
                    .Words::count(count($flights), 'flight')
                    .", the first {$stop[0]->number} on {$stop[0]->day}.",
                $standing !== [] => "{$craft->mark} cannot fly: "
                    .DeferralWords::reason($standing[0]['id'], $standing[0]['code'], $names).'.',
                $open !== [] => "{$craft->mark}, {$open[0]->number} on {$open[0]->day}: {$open[0]->reasons[0]}.",
                $flights === [] => "{$craft->mark} has no flight by number in these days"
                    .($last === null ? '.' : "; what it carries runs out after {$this->clock->words($last)}."),
                default => "{$craft->mark} may fly all of its ".Words::count(count($flights), 'flight').'.',
            },
            match (true) {
                $over || $stop !== [] || $standing !== [] => 'stop',
                $open !== [], $flights === [] && $last !== null && $last->number < $until->number => 'watch',
                default => 'clear',
            },
            array_values($names),
            DeferralWords::restrictions(Dispatch::with($carried)->restrictions),
            $flights,
        );
    }

    /** @param array<array-key, string> $names */
    private function flight(Row $row, Sector $sector, DispatchResult $result, array $names): FlightView
    {
        return new FlightView(
            $row->id,
            $row->number,
            (string) $row->date,
            $this->clock->words($row->date),
            $row->from_place,
            $row->to_place,
            $row->departs_at === null ? '' : $this->clock->time($sector->departs).' to '
                .$this->clock->time($sector->arrives),
            $row->conditions === null ? 'not stated' : implode(', ', array_map(
                DeferralWords::condition(...),
                $row->conditions,
            )),
            $result->verdict,
            self::STATE[$result->verdict],
            array_map(
                static fn(array $r): string => DeferralWords::reason($r['id'], $r['code'], $names),
                $result->reasons,
            ),
        );
    }
}
