<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What a file would be recorded as. */
#[OA\Schema]
final readonly class RecordingPreview
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<GapView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapView::class))] public array $gaps,
        /** @var list<BeyondView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeyondView::class))] public array $beyond,
    ) {}
}
