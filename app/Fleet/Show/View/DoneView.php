<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Something that was done. */
#[OA\Schema]
final readonly class DoneView
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $counters,
        #[OA\Property] public ?int $visit,
        #[OA\Property(description: 'name and stamp, and the local time where it is known')] public ?string $by,
        #[OA\Property] public ?int $card,
        #[OA\Property] public ?string $cardNumber,
    ) {}
}
