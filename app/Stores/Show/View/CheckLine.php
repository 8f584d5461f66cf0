<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A check of a tool. */
#[OA\Schema]
final readonly class CheckLine
{
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public bool $good,
        #[OA\Property] public string $note,
        #[OA\Property] public ?string $by,
    ) {}
}
