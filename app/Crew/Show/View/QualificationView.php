<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A qualification, with its last valid day and whether it stands. */
#[OA\Schema]
final readonly class QualificationView
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $value,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $validUntil,
        #[OA\Property] public ?int $days,
        #[OA\Property] public string $state,
        #[OA\Property] public string $note,
        #[OA\Property] public string $paper,
    ) {}
}
