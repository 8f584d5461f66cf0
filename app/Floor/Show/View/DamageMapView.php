<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** The damage map of an aircraft: what is known and open first, then what was settled. */
#[OA\Schema]
final readonly class DamageMapView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $sentence,
        #[OA\Property(ref: DrawingView::class, nullable: true)] public ?DrawingView $drawing,
        /** @var list<DamageView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DamageView::class))] public array $damages,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $kinds,
        #[OA\Property] public bool $may,
    ) {}
}
