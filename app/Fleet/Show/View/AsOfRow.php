<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One aircraft on a day to come. */
#[OA\Schema]
final readonly class AsOfRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $base,
        #[OA\Property(description: 'clear, waiting (in a visit), stop')] public string $state,
        #[OA\Property] public string $word,
        /** @var list<string> why it cannot fly, the earliest first */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $why,
        #[OA\Property] public ?int $visitId,
    ) {}
}
