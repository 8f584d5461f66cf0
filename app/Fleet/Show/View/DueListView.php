<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** What falls due within so many days. */
#[OA\Schema]
final readonly class DueListView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $days,
        #[OA\Property] public string $today,
        /** @var list<DueLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DueLine::class))] public array $rows,
    ) {}
}
