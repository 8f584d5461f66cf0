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
        /** cards of which no re-check is open */
        #[OA\Property] public int $toOpen,
        /** @var list<RecheckVisit> the one that it is in first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecheckVisit::class))] public array $visits,
        /** its planned flights of the coming days, in words */
        #[OA\Property] public ?string $flies,
    ) {}
}
