<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** An authority that is entered and waits for a second person; until then it is not held. */
#[OA\Schema]
final readonly class WaitingView
{
    public function __construct(
        #[OA\Property] public string $value,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $validUntil,
        #[OA\Property] public string $paper,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        /** whether whoever asks may confirm it */
        #[OA\Property] public bool $mayConfirm,
    ) {}
}
