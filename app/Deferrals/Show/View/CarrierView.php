<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft that carries something, with its coming flights. */
#[OA\Schema]
final readonly class CarrierView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $sentence,
        #[OA\Property(description: 'clear, watch or stop')] public string $state,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $carried,
        /** @var list<string> merged */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $restrictions,
        /** @var list<FlightView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FlightView::class))] public array $flights,
    ) {}
}
