<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** What changed in a room. */
#[OA\Schema]
final readonly class SinceRoom
{
    public function __construct(
        #[OA\Property] public string $room,
        /** @var list<SinceLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SinceLine::class))] public array $lines,
        /** @var list<string> what is only counted */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $counted,
    ) {}
}
