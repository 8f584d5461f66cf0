<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A round after one of its points was answered: the step as it stands, and the card's version. */
#[OA\Schema]
final readonly class PointsView
{
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property(ref: StepView::class)] public StepView $step,
    ) {}
}
