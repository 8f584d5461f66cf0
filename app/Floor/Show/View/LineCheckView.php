<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One check on the line of one aircraft. */
#[OA\Schema]
final readonly class LineCheckView
{
    public function __construct(
        #[OA\Property] public int $item,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['daily', 'turnaround', 'report'])] public string $line,
        #[OA\Property(enum: ['clear', 'watch', 'stop', 'waiting'])] public string $state,
        #[OA\Property] public string $word,
        #[OA\Property] public string $said,
        /** there is none that is good */
        #[OA\Property] public bool $lacks,
        /** the card of one that is begun */
        #[OA\Property] public ?int $card,
        /** @var list<string> of today, before which a turnaround may be begun; the next first */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $flights,
    ) {}
}
