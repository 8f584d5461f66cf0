<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A defect carried: for how long, and whether it is closed in time. */
#[OA\Schema]
final readonly class DeferralView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $finding,
        #[OA\Property] public int $findingId,
        #[OA\Property] public string $place,
        #[OA\Property] public string $extent,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $category,
        #[OA\Property] public string $discovered,
        #[OA\Property] public ?string $expires,
        #[OA\Property] public ?string $expiresUtc,
        #[OA\Property] public ?string $date,
        #[OA\Property] public ?int $daysLeft,
        #[OA\Property] public string $left,
        #[OA\Property] public string $driver,
        #[OA\Property(description: 'clear, watch or stop')] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public string $placard,
        #[OA\Property(description: 'open until it is made safe, then done')] public string $procedure,
        #[OA\Property] public string $conditions,
        #[OA\Property(description: 'in_time, late, no_slot or unknown')] public string $verdict,
        #[OA\Property(description: 'clear, watch or stop')] public string $verdictState,
        #[OA\Property] public string $closure,
        /** @var list<NeedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NeedView::class))] public array $needs,
        #[OA\Property(description: 'the visit in which it is to be closed')] public ?string $visit,
        #[OA\Property] public ?int $visitId,
    ) {}
}
