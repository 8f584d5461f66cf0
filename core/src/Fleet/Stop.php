<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** Something after which an aircraft may not fly on. */
final readonly class Stop
{
    /** The last day by which a visit that takes it away must begin: with the tolerance, where it has one. */
    public Day $latest;

    /**
     * @param string $kind `usage`, `calendar` or `deferral`
     * @param string $id what it is, for the caller
     * @param Day $last the last day it allows
     * @param Day|null $latest with its tolerance; the same where null
     */
    public function __construct(public string $kind, public string $id, public Day $last, ?Day $latest = null)
    {
        $this->latest = $latest ?? $last;
    }
}
