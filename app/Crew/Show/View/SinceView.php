<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** What changed since somebody was last here. */
#[OA\Schema]
final readonly class SinceView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<SinceRoom> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SinceRoom::class))] public array $rooms,
    ) {}
}
