<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** A check on the line, on its way to be signed. */
#[OA\Schema]
final readonly class LineSignView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $statement,
        /** until when, or for which flight */
        #[OA\Property] public string $good,
        /** @var list<BlockerView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BlockerView::class))] public array $blockers,
        /** by whom and when */
        #[OA\Property] public ?string $signed,
        /** it was begun by mistake, and nothing of it was done */
        #[OA\Property] public bool $left,
    ) {}
}
