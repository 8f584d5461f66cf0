<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A reading with its verdict. */
#[OA\Schema]
final readonly class ReadingView
{
    public function __construct(
        #[OA\Property] public string $point,
        #[OA\Property] public string $kind,
        #[OA\Property] public int $run,
        #[OA\Property] public float $value,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $verdict,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $tool,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public bool $stands,
    ) {}
}
