<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Phased fleets against their lines. */
#[OA\Schema]
final readonly class StaggerRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<StaggerView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StaggerView::class))] public array $fleets,
    ) {}
}
