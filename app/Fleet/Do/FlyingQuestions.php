<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Fleet\FlyingWords;
use App\Fleet\Model\Aircraft;
use App\Now\LoadFlying;
use App\Now\LoadOnAircraft;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Jorvel\Core\Fleet\FlyingDay;
use Jorvel\Core\Fleet\FlyingDoubt;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Shared\Day;

/**
 * What to ask of flying before it is counted, with what is known of the aircraft: its plan, its visits, what is fitted
 * to it.
 */
final class FlyingQuestions
{
    /** @var array<int, OnAircraft> by aircraft */
    private array $on = [];

    public function __construct(
        private readonly Clock $clock,
        private readonly LoadOnAircraft $aircraft,
        private readonly LoadFlying $flying,
    ) {}

    /** @param list<int> $ids of aircraft that will be asked about */
    public function read(array $ids): void
    {
        $this->on += $this->aircraft->all($ids);
    }

    /**
     * @param Aircraft $craft with {@see LoadFlying::with()}
     * @param array<string, float> $flown
     * @param array<string, float> $before what the day has already
     *
     * @return list<string> questions; none when there is nothing to ask
     */
    public function of(Aircraft $craft, Day $date, array $flown, Day $known, array $before = []): array
    {
        $plan = $this->flying->plan($craft);
        $on = $this->on[$craft->id] ??= $this->aircraft->on($craft->id);
        $day = new FlyingDay(
            $date,
            $flown,
            $known,
            $before,
            $plan->day($date),
            $plan->means,
            $this->visits($craft),
            $this->devices($on),
        );
        $say = fn(FlyingDoubt $d): string => FlyingWords::doubt($d, $day, $craft->mark, $this->clock->words(...));

        return array_map($say, $day->doubts($this->clock->today(), (float) config('jorvel.flying_far')));
    }

    /**
     * Of a flight that is to come: whether the aircraft stands in a visit then.
     *
     * @param Aircraft $craft with {@see LoadFlying::with()}
     *
     * @return list<string>
     */
    public function ofPlanned(Aircraft $craft, Day $date): array
    {
        $day = new FlyingDay($date, [], $date, visits: $this->visits($craft));

        return $day->visit() === null ? [] : [FlyingWords::doubt(
            FlyingDoubt::InVisit,
            $day,
            $craft->mark,
            $this->clock->words(...),
        )];
    }

    /** @return list<VisitSpan> */
    private function visits(Aircraft $craft): array
    {
        return array_values($craft->visits->where('state', '!=', Visit::RELEASED)->map(
            fn(Visit $v): VisitSpan => $this->flying->span($v),
        )->all());
    }

    /** @return list<Day> */
    private function devices(OnAircraft $on): array
    {
        // What a deferral carries flies with it.
        $since = array_map(
            fn(DeviceOn $d): ?Day => $d->carriedBy === null ? $d->since?->dayIn($this->clock->zone()) : null,
            $on->devices,
        );

        return array_values(array_filter($since));
    }
}
