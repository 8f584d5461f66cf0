<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Floor\CardProgress;

/** A card of a closure, and which part of it. */
final readonly class StageCard
{
    public function __construct(public string $id, public Stage $stage, public CardProgress $state) {}
}
