<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A reading or a use that rests on a recalled tool. */
#[OA\Schema]
final readonly class RestingReading
{
    public function __construct(
        #[OA\Property] public string $point,
        #[OA\Property] public ?float $value,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $verdict,
        #[OA\Property] public string $at,
        #[OA\Property] public string $by,
    ) {}
}
