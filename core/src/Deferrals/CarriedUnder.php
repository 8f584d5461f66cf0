<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** A deferral that an aircraft has already: under which item, and at which of its positions. */
final readonly class CarriedUnder
{
    public function __construct(public string $id, public string $code, public ?string $position) {}
}
