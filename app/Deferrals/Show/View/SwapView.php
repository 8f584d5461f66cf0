<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** Who could fly the lines of a day, with the least change. */
#[OA\Schema]
final readonly class SwapView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $date,
        #[OA\Property] public bool $helps,
        /** @var list<SwapMove> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SwapMove::class))] public array $moves,
        /** @var list<string> lines that nobody can fly, with why */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $open,
    ) {}
}
