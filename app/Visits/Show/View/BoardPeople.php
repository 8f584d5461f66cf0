<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** How a skill is used. */
#[OA\Schema]
final readonly class BoardPeople
{
    public function __construct(
        #[OA\Property] public string $skill,
        #[OA\Property] public int $most,
        /** @var list<PeopleSpan> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PeopleSpan::class))] public array $spans,
    ) {}
}
