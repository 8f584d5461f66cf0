<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Crew\Rest;
use Jorvel\Core\Crew\RestBreach;
use Jorvel\Core\Crew\Shift;
use Jorvel\Core\Shared\Day;

/** Rest between somebody's shifts, as they stand or as they would. */
final class RestRules
{
    /** @var array<string, Shift>|null by code, for one request */
    private ?array $hours = null;

    public function __construct(private readonly Clock $clock, private readonly ShiftSlots $slots) {}

    /**
     * What breaks the rules in the coming weeks, in words.
     *
     * @return list<string>
     */
    public function ahead(Person $person): array
    {
        $today = $this->clock->today();

        return $this->broken($person, $today, $today->plusDays((int) config('jorvel.rest_ahead_days')));
    }

    /**
     * What breaks the rules around some days, in words.
     *
     * @param array<string, string|null> $instead shift by date, in place of what the rota says
     *
     * @return list<string>
     */
    public function broken(Person $person, Day $from, Day $until, array $instead = []): array
    {
        $hours = $this->hours ??= ShiftHours::byCode();
        $shifts = [];
        for ($day = $from->plusDays(-2); $day->number <= $until->number + 2; $day = $day->plusDays(1)) {
            $code = array_key_exists((string) $day, $instead) ? $instead[(string) $day] : $person->shiftOn($day);
            $shift = $hours[$code ?? ''] ?? null;
            if ($shift !== null) {
                $shifts[] = $this->slots->hours($day, $shift->from, $shift->until);
            }
        }
        $rest = Rest::of((float) config('jorvel.rest_between'), (float) config('jorvel.rest_most'));

        return array_map(
            fn(RestBreach $b): string => $b->code === 'rest_short'
            ? 'only '.Words::number($b->hours)." h of rest before {$this->clock->local($b->at)}, at least "
            .Words::number($rest->between).' h are due'
            : Words::number($b->hours)." h on end with the shift from {$this->clock->local($b->at)}, at most "
            .Words::number($rest->most).' h are allowed',
            $rest->breaches($shifts),
        );
    }
}
