<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** One visit, what blocks it, and what was signed. */
#[OA\Schema]
final readonly class ReleaseView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        /** @var list<BlockerView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BlockerView::class))] public array $blockers,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $items,
        #[OA\Property] public ?string $number,
        #[OA\Property] public ?string $certifier,
        #[OA\Property] public bool $may,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $moved,
        #[OA\Property] public string $statement,
    ) {}
}
