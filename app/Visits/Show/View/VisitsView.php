<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** The room Visits. */
#[OA\Schema]
final readonly class VisitsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<VisitView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: VisitView::class))] public array $visits,
    ) {}
}
