<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Do\Season\KeepSeason;
use App\Visits\Do\Season\SeasonRuns;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\SeasonRun;
use App\Visits\Model\Visit;
use App\Visits\Show\Season\SeasonVisitAsked;
use App\Visits\Show\Season\ShowSeason;
use Illuminate\Support\Facades\DB;

/**
 * What the room Season takes at the server, with the fleet that is served: looked at, changed, proposed from nothing,
 * kept, and mended after a bay closes for a week.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class SeasonRoomFigures
{
    private const DAYS = 90;

    private const SECONDS = 10;

    public function __construct(
        private ShowSeason $show,
        private SeasonRuns $runs,
        private KeepSeason $keep,
        private Clock $clock,
    ) {}

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        yield from CopiedWorld::during(fn(): iterable => $this->figures());
    }

    /** @return iterable<Figure> */
    private function figures(): iterable
    {
        $by = Person::where('role', Role::Controller)->firstOrFail();
        $days = self::DAYS;
        yield self::figure(
            "Season opened, {$days} days, median of five",
            Timing::median(fn(): mixed => $this->show->judge(self::DAYS, []), 5),
            'ms',
            null,
        );
        $from = hrtime(true);
        $laid = $this->proposed($by);
        $took = (hrtime(true) - $from) / 1e9;
        $aircraft = count($this->show->judge(self::DAYS, [])->aircraft);
        yield self::figure("{$days} days of {$aircraft} aircraft proposed from nothing", $took, 's', null);
        yield self::figure(
            'a change to it judged, median of five',
            Timing::median(fn(): mixed => $this->show->judge(self::DAYS, $laid), 5),
            'ms',
            null,
        );
        $from = hrtime(true);
        ($this->keep)($by, self::DAYS, $laid);
        $kept = (hrtime(true) - $from) / 1e9;
        $visits = Visit::where('state', Visit::PLANNED)->get();
        $cards = Card::whereIn('visit_id', $visits->modelKeys())->count();
        yield self::figure("it kept as {$visits->count()} visits with {$cards} cards", $kept, 's', null);
        yield self::figure('both together', $took + $kept, 's', 120.0);
        $closed = $this->closed($by);
        yield self::figure(
            "mended after {$closed} closes for a week, median of three",
            Timing::median(fn(): mixed => $this->show->mend(self::DAYS, []), 3),
            'ms',
            null,
        );
    }

    /** @return list<SeasonVisitAsked> */
    private function proposed(Person $by): array
    {
        $run = SeasonRun::create([
            'person_id' => $by->id, 'state' => PlanRunState::Waiting, 'days' => self::DAYS,
            'seconds' => self::SECONDS, 'seed' => 1, 'asked' => [], 'asked_at' => (string) $this->clock->now(),
        ]);
        $this->runs->work($run->id);

        return array_map(SeasonVisitAsked::read(...), $run->refresh()->result ?? []);
    }

    /** The bay with the most visits, closed for the week after next. */
    private function closed(Person $by): string
    {
        $bay = (string) Visit::whereIn('bay', DB::table('bays')->pluck('name'))->where('state', Visit::PLANNED)
            ->selectRaw('bay, count(*) as n')->groupBy('bay')->orderByDesc('n')->value('bay');
        DB::table('bay_closures')->insert([
            'bay_id' => DB::table('bays')->where('name', $bay)->value('id'), 'why' => 'crane', 'person_id' => $by->id,
            'start' => (string) $this->clock->today()->plusDays(14),
            'end' => (string) $this->clock->today()->plusDays(20),
        ]);

        return $bay;
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, string $unit, ?float $aim): array
    {
        return [
            'bench' => 'season', 'metric' => $metric, 'value' => round($value, 1), 'unit' => $unit, 'aim' => $aim,
            'more' => false,
        ];
    }
}
