<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One item, in words, and as the file has it. */
#[OA\Schema]
final readonly class ProgrammeRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $limits,
        #[OA\Property] public string $rebase,
        #[OA\Property] public ?string $component,
        #[OA\Property] public string $harsh,
        #[OA\Property] public float $hours,
        #[OA\Property] public string $skill,
        #[OA\Property] public string $access,
        #[OA\Property] public string $configuration,
        #[OA\Property] public string $card,
        #[OA\Property] public bool $withdrawn,
        #[OA\Property(type: 'object', additionalProperties: true)] public object $source,
    ) {}
}
