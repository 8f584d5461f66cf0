<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A stage of a closure. */
#[OA\Schema]
final readonly class StageView
{
    public function __construct(
        #[OA\Property] public string $stage,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'done, now or later')] public string $state,
        /** @var list<StageCardView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StageCardView::class))] public array $cards,
    ) {}
}
