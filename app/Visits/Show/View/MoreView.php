<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** What could be made of a visit: items that it could take, bays for it, visits into which it could go. */
#[OA\Schema]
final readonly class MoreView
{
    public function __construct(
        /** @var list<MoreItem> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoreItem::class))] public array $items,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $bays,
        /** @var list<MoreVisit> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoreVisit::class))] public array $visits,
    ) {}
}
