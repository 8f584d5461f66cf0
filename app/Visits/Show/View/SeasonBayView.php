<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A bay of a season, or the places outside of a base: hours worked and to be had each day. */
#[OA\Schema]
final readonly class SeasonBayView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $base,
        #[OA\Property] public ?int $bay,
        /** how many may stand there, in words */
        #[OA\Property] public string $says,
        #[OA\Property] public bool $outside,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $fits,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $worked,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $hours,
        /** @var list<SeasonClosed> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonClosed::class))] public array $closed,
    ) {}
}
