<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft on the line: what it was last looked at for, and until when that is good. */
#[OA\Schema]
final readonly class LineRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $base,
        #[OA\Property(enum: ['clear', 'watch', 'stop', 'waiting'])] public string $state,
        #[OA\Property] public string $said,
        /** on the line, and without a daily that is good */
        #[OA\Property] public bool $lacks,
        /** the visit in which it stands; it is not looked at on the line */
        #[OA\Property] public ?string $visit,
        /** @var list<LineCheckView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LineCheckView::class))] public array $checks,
    ) {}
}
