<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A season as it is laid: what stands when and where, what has no visit, and whether it holds. */
#[OA\Schema]
final readonly class SeasonView
{
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public int $days,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        /** whether the least change would mend something */
        #[OA\Property] public bool $mends,
        #[OA\Property] public bool $mayKeep,
        #[OA\Property] public ?string $why,
        /** @var list<SeasonFigure> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonFigure::class))] public array $figures,
        /** @var list<SeasonAircraft> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonAircraft::class))] public array $aircraft,
        /** @var list<SeasonBayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonBayView::class))] public array $bays,
        /** @var list<SeasonFleet> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonFleet::class))] public array $fleets,
        /** @var list<SeasonBlock> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonBlock::class))] public array $visits,
        /** @var list<SeasonNeed> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonNeed::class))] public array $open,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $standing,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $short,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $moved,
    ) {}
}
