<?php

declare(strict_types=1);

namespace App\Stores\Do;

use Jorvel\Core\Shared\Day;

/** Where an aircraft's re-checks are made: in a visit that there is, or in one of their own on the line. */
final readonly class RecheckPlace
{
    private function __construct(public ?int $visit, public ?Day $start, public ?Day $end) {}

    /** @param array{mark: string, visit: int|null, start?: string|null, end?: string|null} $sent as it is sent */
    public static function read(array $sent): self
    {
        return new self(
            $sent['visit'],
            isset($sent['start']) ? Day::parse($sent['start']) : null,
            isset($sent['end']) ? Day::parse($sent['end']) : null,
        );
    }
}
