<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** Riggings: those in hand, to come and of the past. */
#[OA\Schema]
final readonly class RiggingsRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<RiggingRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RiggingRow::class))] public array $rows,
    ) {}
}
