<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Fleet\DepletionResult;

/** A bottle or an accumulator that is fitted, with the trend of its readings. */
final readonly class BottleNow
{
    public function __construct(public string $componentId, public DepletionResult $trend) {}

    /** What it is called among the stops of its aircraft. @pure */
    public function stop(): string
    {
        return 'bottle:'.$this->componentId;
    }
}
