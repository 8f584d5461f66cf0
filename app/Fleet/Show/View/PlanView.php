<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** What an aircraft is going to fly. */
#[OA\Schema]
final readonly class PlanView
{
    public function __construct(
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $rates,
        #[OA\Property(
            type: 'object',
            nullable: true,
            additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')),
        )] public ?object $week,
        /** @var list<SectorView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SectorView::class))] public array $sectors,
    ) {}
}
