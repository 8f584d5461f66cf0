<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A tool that could take a reading. */
#[OA\Schema]
final readonly class ToolView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $resolution,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property] public string $calDue,
        #[OA\Property] public bool $usable,
        #[OA\Property] public ?string $why,
    ) {}
}
