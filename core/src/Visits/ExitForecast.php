<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Instant;

/** When an aircraft was forecast to leave its visit, and when that was forecast. */
final readonly class ExitForecast
{
    /** @param Instant|null $exit null where it could not be planned */
    public function __construct(public Instant $at, public ?Instant $exit) {}
}
