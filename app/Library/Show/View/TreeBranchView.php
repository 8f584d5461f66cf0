<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One way on from a question of a fault tree. */
#[OA\Schema]
final readonly class TreeBranchView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $cause,
        #[OA\Property] public ?string $to,
        /** how often it was the cause in this fleet; null where it names none */
        #[OA\Property] public ?int $times,
        #[OA\Property(description: 'taken on this walk')] public bool $taken = false,
    ) {}
}
