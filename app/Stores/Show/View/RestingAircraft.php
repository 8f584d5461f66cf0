<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft with what rests on a recalled tool. */
#[OA\Schema]
final readonly class RestingAircraft
{
    public function __construct(
        #[OA\Property] public string $mark,
        /** @var list<RestingCard> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RestingCard::class))] public array $cards,
    ) {}
}
