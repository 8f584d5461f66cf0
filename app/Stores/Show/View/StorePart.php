<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A part number in the store. */
#[OA\Schema]
final readonly class StorePart
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public int $stock,
        #[OA\Property] public int $reserved,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $reservedBy,
        #[OA\Property] public ?string $ordered,
        #[OA\Property] public ?string $effectivity,
        #[OA\Property] public bool $oneTime,
        /** @var list<BatchView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BatchView::class))] public array $batches,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public string $place,
        /** of a fluid, a grease, a sealant or a gas */
        #[OA\Property] public ?string $specification,
        #[OA\Property] public ?string $unit,
        /** @var list<string> systems that it must never meet */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $never,
    ) {}
}
