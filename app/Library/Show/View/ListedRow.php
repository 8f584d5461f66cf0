<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A listed item in force: what may be carried, and on what terms. */
#[OA\Schema]
final readonly class ListedRow
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public int $version,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property] public string $system,
        #[OA\Property] public string $category,
        #[OA\Property] public string $limits,
        #[OA\Property(description: 'installed and required')] public string $units,
        #[OA\Property] public string $terms,
        #[OA\Property] public string $safe,
        #[OA\Property] public string $placard,
        #[OA\Property(description: 'carried under it now')] public int $carried,
        #[OA\Property(description: 'as in core/schema/listed.json')] public object $source,
    ) {}
}
