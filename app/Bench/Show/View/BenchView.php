<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** The room Bench. */
#[OA\Schema]
final readonly class BenchView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<BenchRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BenchRow::class))] public array $sheets,
    ) {}
}
