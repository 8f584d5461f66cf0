<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Something found on a system, or done to it. */
#[OA\Schema]
final readonly class HistoryLine
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $on,
        #[OA\Property] public string $ago,
        #[OA\Property] public int $flights,
        #[OA\Property] public string $title,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $link,
        #[OA\Property] public bool $suspect,
        #[OA\Property] public bool $inDays,
        #[OA\Property] public bool $inFlights,
    ) {}
}
