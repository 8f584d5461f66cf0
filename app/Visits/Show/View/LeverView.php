<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** Something that can be done, and the chance after it. */
#[OA\Schema]
final readonly class LeverView
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public float $chance,
        #[OA\Property] public string $words,
        /** @var list<LeverLink> where it is done */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LeverLink::class))] public array $links,
        /** the last day that the visit would have, where that is what is done */
        #[OA\Property] public ?string $until,
    ) {}
}
