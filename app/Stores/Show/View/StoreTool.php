<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A tool with its calibration. */
#[OA\Schema]
final readonly class StoreTool
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $range,
        #[OA\Property] public string $calDue,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public string $place,
        #[OA\Property] public int $readings,
        #[OA\Property] public ?string $out,
    ) {}
}
