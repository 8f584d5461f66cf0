<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** The room Release. */
#[OA\Schema]
final readonly class ReleasesView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<ReleaseRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReleaseRow::class))] public array $visits,
        #[OA\Property] public int $more,
    ) {}
}
