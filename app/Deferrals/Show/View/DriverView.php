<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** One limit of a clock: how far it reaches. */
#[OA\Schema]
final readonly class DriverView
{
    public function __construct(
        #[OA\Property(description: 'days, or a counter')] public string $name,
        #[OA\Property] public string $allowed,
        #[OA\Property] public string $said,
        #[OA\Property(description: 'days from the discovery to its end; null where that never comes')] public ?int $to,
        #[OA\Property(description: 'days from the discovery to today')] public int $now,
        #[OA\Property(description: 'whether it ends first')] public bool $drives,
    ) {}
}
