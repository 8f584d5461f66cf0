<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** What was known of the findings at the end of a day. */
#[OA\Schema]
final readonly class WindowDay
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $words,
        #[OA\Property] public int $found,
        #[OA\Property] public float $expected,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property] public float $chance,
    ) {}
}
