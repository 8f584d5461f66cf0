<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A finding waiting for a decision. */
#[OA\Schema]
final readonly class OpenFinding
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $card,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $place,
        #[OA\Property] public string $extent,
        #[OA\Property] public string $raisedAt,
        #[OA\Property] public string $raisedBy,
        #[OA\Property] public ?string $fixCard,
        /** @var list<string> listed items that cover it, by code and title */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $covers,
    ) {}
}
