<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** The room Library. */
#[OA\Schema]
final readonly class LibraryView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<ProgrammeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgrammeView::class))] public array $programmes,
        /** @var list<ManualView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ManualView::class))] public array $manuals,
        /** @var list<TemplateView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TemplateView::class))] public array $templates,
    ) {}
}
