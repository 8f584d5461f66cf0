<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A visit. */
#[OA\Schema]
final readonly class VisitView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public string $state,
        #[OA\Property] public string $sentence,
        /** The same behind the visit's title. */
        #[OA\Property] public string $headline,
        #[OA\Property] public float $hours,
        #[OA\Property] public int $closed,
        #[OA\Property] public int $total,
        /** @var list<VisitFinding> of one visit; empty in the list of visits */
        #[OA\Property(type: 'array', items: new OA\Items(ref: VisitFinding::class))] public array $findings,
        /** @var list<VisitCard> of one visit; empty in the list of visits */
        #[OA\Property(type: 'array', items: new OA\Items(ref: VisitCard::class))] public array $cards,
        /** @var list<string> what it runs against */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $doubts,
        /** it is a check on the line: no plan, no board, and signed good where it stands */
        #[OA\Property] public bool $line = false,
    ) {}
}
