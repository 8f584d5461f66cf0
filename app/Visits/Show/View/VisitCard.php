<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A card of a visit, in a line. */
#[OA\Schema]
final readonly class VisitCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $independentInspection,
        #[OA\Property] public string $skill,
        #[OA\Property] public float $hours,
        #[OA\Property] public string $zone,
        #[OA\Property] public int $stepsDone,
        #[OA\Property] public int $steps,
        /** @var list<AssignedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AssignedView::class))] public array $people,
        #[OA\Property] public ?string $lacks,
        #[OA\Property] public string $stage,
        #[OA\Property] public ?string $when,
        #[OA\Property] public string $needs,
        /** @var list<string> people who must stand at a place, and where */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $positions,
        /** @var list<string> parts reserved */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $parts,
        /** @var list<string> what it will not have on its day */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $short,
        #[OA\Property] public ?string $finding,
        /** nothing is done on it: it may be taken out of its visit */
        #[OA\Property] public bool $leaves,
    ) {}
}
