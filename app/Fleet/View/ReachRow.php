<?php

declare(strict_types=1);

namespace App\Fleet\View;

use OpenApi\Attributes as OA;

/** How far one aircraft can go. */
#[OA\Schema]
final readonly class ReachRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $fleet,
        #[OA\Property] public string $base,
        #[OA\Property] public string $state,
        #[OA\Property] public ?StopView $stop,
        /** @var list<Bracket> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: Bracket::class))] public array $visits,
        /** @var list<Fuse> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: Fuse::class))] public array $fuses,
    ) {}
}
