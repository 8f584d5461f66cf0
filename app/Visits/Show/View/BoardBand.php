<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A state of the aircraft, and when cards need it. */
#[OA\Schema]
final readonly class BoardBand
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        /** @var list<BoardSpan> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardSpan::class))] public array $spans,
    ) {}
}
