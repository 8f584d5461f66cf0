<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A card template. */
#[OA\Schema]
final readonly class TemplateView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $manual,
        #[OA\Property] public int $revision,
        #[OA\Property] public string $state,
        #[OA\Property] public int $steps,
        #[OA\Property] public float $hours,
        #[OA\Property] public bool $independentInspection,
        #[OA\Property] public ?string $draft,
    ) {}
}
