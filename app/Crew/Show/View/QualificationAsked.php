<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Something somebody holds, and the cards that ask for it. */
#[OA\Schema]
final readonly class QualificationAsked
{
    public function __construct(
        #[OA\Property] public QualificationView $qualification,
        /** @var list<HitView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HitView::class))] public array $asked,
    ) {}
}
