<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What was answered of a round: its points as they stand now, and the card's version; nothing else has changed. */
#[OA\Schema]
final readonly class PointsView
{
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property] public int $no,
        /** @var list<PointView> those that were sent */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PointView::class))] public array $points,
    ) {}
}
