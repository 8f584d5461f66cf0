<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One section, old beside new. */
#[OA\Schema]
final readonly class PassageView
{
    public function __construct(
        #[OA\Property] public string $section,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public string $old,
        #[OA\Property] public string $now,
        /** @var list<DiffPiece> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiffPiece::class))] public array $pieces,
    ) {}
}
