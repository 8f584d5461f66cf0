<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Day;

/** What the closure of a defect waits for: a part, a tool, people, an answer; and the day it is there. */
final readonly class ClosureWait
{
    /** @param Day|null $on null where nobody knows */
    public function __construct(public string $id, public ?Day $on) {}
}
