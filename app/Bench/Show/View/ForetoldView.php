<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What would probably be read once what is typed was turned. */
#[OA\Schema]
final readonly class ForetoldView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property(description: 'Nothing is more likely outside than within')] public bool $good,
        /** next reading by point */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $next,
        /** @var list<WasherView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WasherView::class))] public array $washers,
        /** @var list<BucklesView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BucklesView::class))] public array $buckles,
    ) {}
}
