<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** What a recall reaches. */
#[OA\Schema]
final readonly class RecallView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $foundOn,
        #[OA\Property] public ?string $lastGood,
        #[OA\Property] public string $note,
        #[OA\Property] public int $readings,
        #[OA\Property] public int $uses,
        /** @var list<RestingAircraft> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RestingAircraft::class))] public array $aircraft,
        #[OA\Property] public int $toOpen,
        /** days between which a visit of its own is proposed */
        #[OA\Property] public string $start,
        #[OA\Property] public string $end,
        #[OA\Property] public int $toClose,
    ) {}
}
