<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** Something after which an aircraft may not fly on. */
final readonly class Stop
{
    /**
     * @param string $kind `usage`, `calendar` or `deferral`
     * @param string $id what it is, for the caller
     * @param Day $last the last day it allows
     */
    public function __construct(public string $kind, public string $id, public Day $last) {}
}
