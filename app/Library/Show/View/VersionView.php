<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One version of a card. */
#[OA\Schema]
final readonly class VersionView
{
    public function __construct(
        #[OA\Property] public int $no,
        #[OA\Property] public string $state,
        #[OA\Property] public string $note,
        #[OA\Property] public string $writers,
        #[OA\Property] public string $writtenAt,
        #[OA\Property] public ?string $checked,
        #[OA\Property] public ?string $forced,
        #[OA\Property] public int $steps,
    ) {}
}
