<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Now\ItemNow;

/** An item of an aircraft, when it falls due, and what it is called in every list. */
final readonly class DueNow
{
    public function __construct(public ItemNow $item, public DueResult $due, public FleetState $state) {}
}
