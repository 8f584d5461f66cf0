<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A stay in which a deferral could be closed. */
#[OA\Schema]
final readonly class ClosureStayView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'visit or free')] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public string $said,
        #[OA\Property] public float $free,
        #[OA\Property] public bool $enough,
        #[OA\Property] public bool $inTime,
        #[OA\Property(description: 'whether everything is there when it begins')] public bool $ready,
    ) {}
}
