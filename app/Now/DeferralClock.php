<?php

declare(strict_types=1);

namespace App\Now;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Clock as CoreClock;
use Jorvel\Core\Deferrals\ClockResult;

/** Asks the core how long a defect may be carried, by the aircraft's own flying. */
final readonly class DeferralClock
{
    public function __construct(private Clock $clock, private LoadDeferral $load, private LoadFlying $flying) {}

    /** @param Aircraft $aircraft with {@see LoadFlying::with()} */
    public function read(Deferral $deferral, Aircraft $aircraft): ClockResult
    {
        return $this->load->of($deferral)->clock($this->clock->now(), $this->flying->of($aircraft));
    }

    /**
     * What the clock would say if a finding were deferred under a listed item.
     *
     * @param Finding $finding whose aircraft is with {@see LoadFlying::with()}
     */
    public function preview(Finding $finding, ListedItem $item): ClockResult
    {
        return CoreClock::read(
            $this->load->under($item, $finding),
            $this->clock->now(),
            $this->flying->of($finding->aircraft),
        );
    }
}
