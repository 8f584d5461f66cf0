<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A day of a visit. */
#[OA\Schema]
final readonly class ProgressDay
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $words,
        #[OA\Property] public int $closed,
        #[OA\Property] public float $planned,
        #[OA\Property] public float $spent,
        #[OA\Property] public int $raised,
        #[OA\Property] public int $openFindings,
        #[OA\Property] public ?float $exitDays,
        #[OA\Property] public ?string $exit,
        #[OA\Property] public ?string $moved,
        #[OA\Property] public string $state,
        #[OA\Property] public string $why,
    ) {}
}
