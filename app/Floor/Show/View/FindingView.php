<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Something found wrong. */
#[OA\Schema]
final readonly class FindingView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $card,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $place,
        #[OA\Property] public string $extent,
        #[OA\Property] public string $severity,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $state,
        #[OA\Property] public string $raisedBy,
        #[OA\Property] public string $raisedAt,
        #[OA\Property] public int $photos,
        #[OA\Property] public ?string $repeat,
    ) {}
}
