<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;
use App\Now\LoadFlying;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Category;
use Jorvel\Core\Deferrals\Clock as CoreClock;
use Jorvel\Core\Deferrals\ClockKind;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\Deferral as CoreDeferral;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Shared\Instant;

/** Asks the core how long a defect may be carried, by the aircraft's own flying. */
final readonly class DeferralClock
{
    public function __construct(private Clock $clock, private LoadFlying $flying) {}

    /** @param Aircraft $aircraft with {@see LoadFlying::with()} */
    public function read(Deferral $deferral, Aircraft $aircraft): ClockResult
    {
        return $this->ask(
            $deferral->category,
            $deferral->discovered_at,
            $deferral->timezone,
            $deferral->limits,
            $deferral->at_discovery,
            $aircraft,
        );
    }

    /** What the clock would say if a finding were deferred under a listed item. */
    public function preview(Finding $finding, ListedItem $item, Aircraft $aircraft): ClockResult
    {
        return $this->ask(
            $item->category,
            $finding->raised_at,
            $this->clock->zone()->getName(),
            $item->limits,
            $aircraft->counters,
            $aircraft,
        );
    }

    /**
     * @param array<string, float> $limits
     * @param array<string, float> $atDiscovery
     */
    private function ask(
        string $category,
        string $discovered,
        string $zone,
        array $limits,
        array $atDiscovery,
        Aircraft $aircraft,
    ): ClockResult {
        $days = isset($limits['days']) ? (int) $limits['days'] : null;
        unset($limits['days']);
        $timezone = ClockKind::zone($zone);
        $now = $this->clock->now();

        return CoreClock::read(
            CoreDeferral::of(
                Category::from($category),
                Instant::parse($discovered),
                $timezone,
                $days,
                array_map(floatval(...), $limits),
                array_map(floatval(...), $atDiscovery),
                [],
                CoreDeferral::RULES,
            ),
            $now,
            $this->flying->of($aircraft),
        );
    }
}
