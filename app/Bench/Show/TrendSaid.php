<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Shared\Clock;
use Jorvel\Core\Bench\Drift;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\PlannedAway;
use Jorvel\Core\Shared\Day;

/** What is said of a trend, in a list, on its page and in the due list. */
final readonly class TrendSaid
{
    /** What lies years ahead is no date that anybody plans by. */
    private const DAYS = 730;

    /** @param Day|null $out the last day within its limit, where that is near enough to plan by */
    private function __construct(public ?Day $out, public string $word, public string $sentence) {}

    /** @param string|null $why there is none */
    public static function of(?Drift $drift, ?string $why, Clock $clock): self
    {
        $out = $drift?->crossesOn;
        if ($out !== null && $clock->today()->daysUntil($out) > self::DAYS) {
            $out = null;
        }
        $when = $out === null ? '' : $clock->words($out);

        $word = match ($drift?->trend) {
            null => $why ?? 'nothing can be said yet',
            'none' => $out === null ? 'steady' : 'no clear trend',
            default => $drift->trend,
        };

        return new self($out, $word, $word.match (true) {
            $out !== null => $drift->trend === 'none' ? "; its line is out after {$when}" : ", and out after {$when}",
            $drift === null || $drift->trend === 'none' => '',
            $drift->crossesOn !== null => ', years from its limit',
            default => ', away from its limit',
        });
    }

    public function state(Clock $clock): FleetState
    {
        return FleetState::of($clock->today(), $this->out, PlannedAway::No, (int) config('jorvel.warn_days'));
    }
}
