<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A card of the Library, by its name. */
#[OA\Schema]
final readonly class ProgrammeCard
{
    public function __construct(#[OA\Property] public string $code, #[OA\Property] public string $title) {}
}
