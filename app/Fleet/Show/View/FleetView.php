<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** The room Fleet. */
#[OA\Schema]
final readonly class FleetView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public ?string $first,
        #[OA\Property] public string $note,
        #[OA\Property] public string $today,
        /** @var list<ReachRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReachRow::class))] public array $rows,
    ) {}
}
