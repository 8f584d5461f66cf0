<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** A card with what rests on a recalled tool. */
#[OA\Schema]
final readonly class RestingCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $visitState,
        #[OA\Property] public ?int $byCardId,
        #[OA\Property] public ?string $byCard,
        #[OA\Property] public string $state,
        /** @var list<RestingReading> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RestingReading::class))] public array $readings,
    ) {}
}
