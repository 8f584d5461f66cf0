<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A step of an attempt as it was worked. */
#[OA\Schema]
final readonly class AttemptStepView
{
    public function __construct(
        #[OA\Property] public int $no,
        #[OA\Property] public string $title,
        #[OA\Property] public string $part,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lines,
        #[OA\Property] public ?string $by,
    ) {}
}
