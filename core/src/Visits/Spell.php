<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Instant;

/** A stretch of time in which the same people are at work. */
final readonly class Spell
{
    /** @param array<string, int> $people of each skill; under `*` how many heads there are */
    public function __construct(public Instant $from, public Instant $until, public array $people) {}
}
