<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft drawn in three views, with places marked. */
#[OA\Schema]
final readonly class DrawingView
{
    public function __construct(
        #[OA\Property(type: 'object', additionalProperties: true)] public object $outline,
        /** @var list<MarkView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MarkView::class))] public array $marks,
    ) {}
}
