<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Who on the line has no check that is good. */
#[OA\Schema]
final readonly class LineView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public bool $may,
        /** @var list<LineRow> those without first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LineRow::class))] public array $rows,
    ) {}
}
