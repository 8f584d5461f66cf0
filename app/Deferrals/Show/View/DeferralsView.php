<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** The room Deferrals. */
#[OA\Schema]
final readonly class DeferralsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<DeferralView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeferralView::class))] public array $deferrals,
        #[OA\Property(description: 'carried in all; the list has a page of them')] public int $carried,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        /** @var list<OpenFinding> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpenFinding::class))] public array $findings,
        /** @var list<ClosedView> the last ones */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosedView::class))] public array $closed,
    ) {}
}
