<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** What a change of many cards would do. */
#[OA\Schema]
final readonly class BulkView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<BulkRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BulkRow::class))] public array $rows,
    ) {}
}
