<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Now\BottleNow;
use Jorvel\Core\Shared\Day;

/** A bottle that falls, the last day on which it is still above its minimum, and what it is called in every list. */
final readonly class BottleDue
{
    public function __construct(public BottleNow $bottle, public Day $last, public FleetState $state) {}
}
